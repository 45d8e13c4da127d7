/** A running private MariaDB. It listens on a socket that only its own system user and root can reach, never on TCP. */
export interface Database {
  socket: string;
  /** The application's account, and what it may enter by. */
  user: string;
  password: string;
  rootPassword: string;
  stop: () => Promise<void>;
  /** Ends it without warning, as a power cut would. */
  kill: () => Promise<void>;
}

/** One that this process started. */
export interface StartedDatabase extends Database {
  /** Resolves once it ended, by whatever. */
  ended: () => Promise<void>;
  /** Holds it still where it is, as a machine that is swapping or a disk that hangs does. */
  freeze: () => void;
  thaw: () => void;
}
