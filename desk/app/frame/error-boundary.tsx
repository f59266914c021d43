import { Component, type ReactNode } from 'react';
import { Button } from '../../shared/ui/button';

interface Props {
  children: ReactNode;
  /** a change of it tries again */
  resetKey: string;
}

/** A screen that breaks says so, and leaves the rest of the desk standing. */
export class ErrorBoundary extends Component<Props, { error: Error | null }> {
  override state = { error: null as Error | null };

  static getDerivedStateFromError(error: Error) {
    return { error };
  }

  override componentDidUpdate(before: Props) {
    if (before.resetKey !== this.props.resetKey && this.state.error) this.setState({ error: null });
  }

  override render() {
    const { error } = this.state;
    if (!error) return this.props.children;
    return (
      <div role="alert" className="m-6 max-w-lg rounded-[10px] bg-rose-soft p-5 text-rose-ink">
        <h1 className="font-display text-lg font-bold">This screen stopped working</h1>
        <p className="mt-1">What you saved is safe. Load the screen again, or go on at another desk.</p>
        <p className="mt-2 text-xs">{error.message}</p>
        <Button className="mt-4" onClick={() => window.location.reload()}>
          Load again
        </Button>
      </div>
    );
  }
}
