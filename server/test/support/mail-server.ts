import type { AddressInfo } from 'node:net';
import { text } from 'node:stream/consumers';
import { SMTPServer } from 'smtp-server';

/** A mail server that keeps what it is handed. It takes letters to anybody but those whom it does not know. */
export async function standInMailServer(unknown: readonly string[] = []) {
  const letters: { to: string; body: string }[] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    onRcptTo: ({ address }, _, done) => {
      if (unknown.includes(address)) done(Object.assign(new Error('no such mailbox'), { responseCode: 550 }));
      else done();
    },
    onData: (stream, { envelope }, done) => {
      void text(stream).then((body) => {
        letters.push({ to: envelope.rcptTo.map(({ address }) => address).join(', '), body });
        done();
      });
    },
  });
  const listening = await new Promise<AddressInfo>((resolve) => {
    const socket = server.listen(0, '127.0.0.1', () => resolve(socket.address() as AddressInfo));
  });
  return {
    address: `smtp://127.0.0.1:${listening.port}`,
    letters,
    close: () => new Promise<void>((resolve) => server.close(() => resolve())),
  };
}
