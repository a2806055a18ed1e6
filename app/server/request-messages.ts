/** A request as it is handed to a thread that answers it. */
export interface AskedRequest {
  readonly url: string;
  readonly method: string;
  readonly headers: ReadonlyArray<readonly [string, string]>;
  readonly body: Uint8Array | null;
  readonly nonce: string;
  /** Whether somebody signed in with a password. */
  readonly isSignedIn: boolean;
}

/** The answer to a request, with what went wrong meanwhile, for the log. */
export interface GivenAnswer {
  readonly status: number;
  readonly headers: ReadonlyArray<readonly [string, string]>;
  readonly body: Uint8Array | null;
  readonly failure: {
    readonly message: string;
    readonly stack: string | undefined;
    readonly data: string | null;
  } | null;
}

/** What a thread is told when it starts. */
export interface ThreadSettings {
  readonly isReadOnly: boolean;
  /** Whether it answers what is known to take long: then it gives way to the others. */
  readonly isForLong?: boolean;
}
