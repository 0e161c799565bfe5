// In the order they win.
import './base.css';
import './counter.css';
import './bench.css';
import './round.css';
import './finding.css';
import './page.css';
import './plates.css';
import './shelf.css';
import './scope.css';
import './act.css';
import './spray.css';
import './rounds.css';
import './season.css';
import './drill.css';
import './media.css';
