import { Component } from "react";
import type { ReactNode } from "react";

interface Props {
  /** Shown in place of what cannot be shown. */
  readonly instead: ReactNode;
  /** When this is another, it is tried anew. */
  readonly of?: unknown;
  readonly children: ReactNode;
}

/** What cannot be shown costs its own place, and nothing beside it. */
export class Guard extends Component<Props, { readonly failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { readonly failed: boolean } {
    return { failed: true };
  }

  override componentDidUpdate({ of }: Props): void {
    if (this.state.failed && of !== this.props.of) this.setState({ failed: false });
  }

  override render(): ReactNode {
    return this.state.failed ? this.props.instead : this.props.children;
  }
}
