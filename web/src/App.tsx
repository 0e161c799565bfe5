import { ThemeProvider } from '@mui/material/styles';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Navigate, Route, Routes, useLocation, useNavigate } from 'react-router';
import { onSignedOut, Problem } from './api/client';
import { useSession } from './api/hooks';
import { Counter } from './counter/Counter';
import { Boundary } from './ui/Boundary';
import { Trouble } from './ui/bits';
import { Find, Help } from './ui/dialogs';
import { Join } from './ui/Join';
import { KeyHost, useKeys } from './ui/keys';
import { Rail, rooms } from './ui/Rail';
import { SignIn } from './ui/SignIn';
import { makeTheme } from './ui/theme';
import { Toasts } from './ui/toast';

const Bench = lazy(() => import('./bench/Bench'));
const MixingShelf = lazy(() => import('./shelf/MixingShelf'));
const Scope = lazy(() => import('./scope/Scope'));
const BagTags = lazy(() => import('./counter/BagTags'));
const Rounds = lazy(() => import('./rounds/Rounds'));
const Whose = lazy(() => import('./rounds/Whose'));
const Day = lazy(() => import('./rounds/Day'));
const Drill = lazy(() => import('./drill/Drill'));
const Season = lazy(() => import('./season/Season'));
const SprayDays = lazy(() => import('./spray/SprayDays'));
const House = lazy(() => import('./house/House'));
const Plates = lazy(() => import('./plates/Plates'));

type Shade = 'light' | 'dark';

function useShade(): [Shade, () => void] {
  const [shade, setShade] = useState<Shade>(() => {
    const kept = localStorage.getItem('botanik.shade');
    if (kept === 'light' || kept === 'dark') return kept;
    return window.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  });
  useEffect(() => {
    localStorage.setItem('botanik.shade', shade);
  }, [shade]);
  return [shade, () => setShade((s) => (s === 'dark' ? 'light' : 'dark'))];
}

export function App() {
  const [shade, flip] = useShade();
  const theme = useMemo(() => {
    document.documentElement.dataset.theme = shade; // before the theme reads its colours there
    return makeTheme(shade === 'dark');
  }, [shade]);
  return (
    <ThemeProvider theme={theme}>
      <KeyHost>
        <Inside shade={shade} flip={flip} />
      </KeyHost>
    </ThemeProvider>
  );
}

function Inside({ shade, flip }: { shade: Shade; flip: () => void }) {
  const session = useSession();
  const client = useQueryClient();
  const [out, setOut] = useState(false);
  useEffect(() => onSignedOut(() => setOut(true)), []);
  const place = useLocation();
  const go = useNavigate();
  const invited = /^\/join\/([\w-]+)$/.exec(place.pathname)?.[1];
  if (invited) return <Join token={invited} onDone={() => go('/')} />;
  if (session.isPending) return null;
  const refused = session.error instanceof Problem && session.error.status === 401;
  if (!session.data || out || refused) {
    return (
      <>
        {session.error && !refused && (
          <div className="signin">
            <Trouble of={session.error} />
          </div>
        )}
        <SignIn
          onIn={() => {
            setOut(false);
            void client.invalidateQueries();
          }}
        />
      </>
    );
  }
  return (
    <Toasts>
      <Shell shade={shade} flip={flip} />
    </Toasts>
  );
}

function Shell({ shade, flip }: { shade: Shade; flip: () => void }) {
  const go = useNavigate();
  const { pathname } = useLocation();
  const [find, setFind] = useState(false);
  const [help, setHelp] = useState(false);
  useKeys([
    {
      key: 'n',
      does: 'check in',
      opens: true,
      run: () => {
        // At the counter at once: who types on must not lose their first letters to a room being drawn.
        const grower = document.querySelector<HTMLElement>('[name=grower]');
        if (grower && pathname === '/') grower.focus();
        else go('/?new=1');
      },
    },
    { key: '/', does: 'find', opens: true, run: () => setFind(true) },
    { key: '?', does: 'keys', run: () => setHelp(true) },
    ...rooms.flatMap((r) => [
      { key: r.digit, does: `go to ${r.name}`, hidden: true, run: () => go(r.to) },
      { key: `Alt+${r.digit}`, does: `go to ${r.name} from a field`, hidden: true, run: () => go(r.to) },
    ]),
  ]);
  return (
    <div className="house">
      <a className="skip" href="#room">
        Skip to the room
      </a>
      <Rail shade={shade} flip={flip} onFind={() => setFind(true)} onHelp={() => setHelp(true)} />
      <div className="room" key={pathname.split('/')[1]}>
        <Suspense
          fallback={
            <main id="room">
              <p className="quiet" data-loading>
                One moment…
              </p>
            </main>
          }
        >
          <Boundary key={pathname.split('/')[1]}>
            <Routes>
              <Route path="/" element={<Counter />} />
              <Route path="/bench" element={<Bench />} />
              <Route path="/bench/:id" element={<Bench />} />
              <Route path="/bench/:id/:step" element={<Bench />} />
              <Route path="/mixing" element={<MixingShelf />} />
              <Route path="/scope" element={<Scope />} />
              <Route path="/scope/:table" element={<Scope />} />
              <Route path="/spray-days/:table?" element={<SprayDays />} />
              <Route path="/tags/:id?" element={<BagTags />} />
              <Route path="/rounds/whose" element={<Whose />} />
              <Route path="/rounds/day/:day?" element={<Day />} />
              <Route path="/rounds/:id?" element={<Rounds />} />
              <Route path="/plates" element={<Plates />} />
              <Route path="/plates/:id" element={<Plates />} />
              <Route path="/drill/:table?" element={<Drill />} />
              <Route path="/season/:table?" element={<Season />} />
              <Route path="/house" element={<House />} />
              <Route path="*" element={<Navigate to="/" replace />} />
            </Routes>
          </Boundary>
        </Suspense>
      </div>
      {find && <Find onClose={() => setFind(false)} />}
      {help && <Help onClose={() => setHelp(false)} />}
    </div>
  );
}
