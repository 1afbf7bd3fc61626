'use client';
import { Component, type ReactNode } from 'react';
import { TroublePanel } from './TroublePanel';

interface Props {
  /** What is shown inside, in words: `The clocks`. */
  readonly what: string;
  /** Another value shows the contents again. */
  readonly resetKey?: unknown;
  /** One line instead of a panel. */
  readonly small?: boolean;
  readonly children: ReactNode;
}

interface State {
  readonly error: Error | null;
  readonly resetKey: unknown;
}

/** Keeps a fault in what it holds from taking down what stands around it: says what cannot be shown, and why. */
export class Boundary extends Component<Props, State> {
  override state: State = { error: null, resetKey: this.props.resetKey };

  static getDerivedStateFromError(error: unknown): Partial<State> {
    return { error: error instanceof Error ? error : new Error(String(error)) };
  }

  static getDerivedStateFromProps({ resetKey }: Props, state: State): Partial<State> | null {
    return resetKey === state.resetKey ? null : { error: null, resetKey };
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (!error) return this.props.children;
    const { what, small = false } = this.props;
    return (
      <TroublePanel
        what={what}
        error={error}
        small={small}
        onAgain={() => this.setState({ error: null })}
      />
    );
  }
}
