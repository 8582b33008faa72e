/** Who is signed in, and how a session that ran out is renewed without leaving the screen. */
class Session {
  /** Whether the sign-in sheet lies over the screen. */
  expired = $state(false);
  name = $state('');
  #waiting: (() => void)[] = [];

  /** Resolves once the person has signed in again. */
  renew(): Promise<void> {
    this.expired = true;
    return new Promise((resolve) => this.#waiting.push(resolve));
  }

  signedIn(name: string) {
    this.name = name;
    this.expired = false;
    const waiting = this.#waiting;
    this.#waiting = [];
    waiting.forEach((resume) => resume());
  }
}

export const session = new Session();
