import { text } from 'node:stream/consumers';
import { SMTPServer } from 'smtp-server';

/** Takes the letters of the lab that a test runs in, as long as `run` does. */
export async function withLetters(run: (letters: string[]) => Promise<void>): Promise<void> {
  const port = process.env['VENDU_MAIL_PORTS']?.split(' ')[Number(process.env['TEST_PARALLEL_INDEX'] ?? 0)];
  const letters: string[] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    onData: (stream, _, done) => {
      void text(stream).then((letter) => {
        letters.push(letter.replaceAll('=\r\n', '').replaceAll('=3D', '='));
        done();
      });
    },
  });
  await new Promise<void>((resolve) => server.listen(Number(port), '127.0.0.1', resolve));
  try {
    await run(letters);
  } finally {
    await new Promise<void>((resolve) => server.close(() => resolve()));
  }
}
