import Button from '@mui/material/Button';
import { Component, type ReactNode } from 'react';

/** A mistake of ours in one room leaves the others standing: it says so, and offers to draw the room anew. */
export class Boundary extends Component<{ children: ReactNode }, { broke: Error | null }> {
  state = { broke: null as Error | null };
  static getDerivedStateFromError(broke: Error) {
    return { broke };
  }
  render() {
    if (!this.state.broke) return this.props.children;
    return (
      <div className="notice brick" role="alert" data-broke>
        <b>This part of the page broke; that is our mistake.</b> What was kept is safe on the desk.
        <div className="wrap" style={{ marginTop: 6 }}>
          <Button size="small" variant="contained" onClick={() => this.setState({ broke: null })}>
            Draw it again
          </Button>
          <Button size="small" onClick={() => window.location.reload()}>
            Load the page anew
          </Button>
        </div>
      </div>
    );
  }
}
