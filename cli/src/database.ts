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
