import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { InvitationView, InvitedView, Problem, SessionView } from '@vendu/contract';
import { Mailer } from '../src/mail/mailer.js';
import { startTestApplication, type TestApplication } from './support/application.js';
import { standInMailServer } from './support/mail-server.js';

const FROM = { from: 'lab@ninthmole.example', labAddress: 'https://lab.ninthmole.example' };
const UNKNOWN = 'nobody@ninthmole.example';

let post: Awaited<ReturnType<typeof standInMailServer>>;
let app: TestApplication;
beforeAll(async () => {
  post = await standInMailServer([UNKNOWN]);
  app = await startTestApplication({ mail: { server: post.address, ...FROM } });
});
afterAll(async () => {
  await app.close();
  await post.close();
});

const add = async (person: object) =>
  (
    await app.lead
      .post('/api/people')
      .send({ role: 'barista', ...person })
      .expect(201)
  ).body as InvitedView;
/** As a reader of mail puts its lines together again. */
const lastLetter = () => {
  const { to, body } = post.letters.at(-1) ?? { to: '', body: '' };
  return { to, body: body.replaceAll('=\r\n', '').replaceAll('=3D', '=') };
};
const wayIn = () => /https:\/\/lab\.ninthmole\.example(\/invited\/\S+)/.exec(lastLetter().body)?.[1] ?? '';
const secretOf = (path: string) => path.replace('/invited/', '');

describe('a way in by mail', () => {
  it('goes to the e-mail that a lead named, and opens the page where the e-mail stands already', async () => {
    const session = (await app.lead.get('/api/session').expect(200)).body as SessionView;
    expect(session.sendsMail).toBe(true);
    const invited = await add({ name: 'Rowan', email: 'Rowan@ninthmole.example' });
    expect(invited).toMatchObject({ isSent: true, email: 'rowan@ninthmole.example' });
    expect(lastLetter().to).toBe('rowan@ninthmole.example');
    expect(lastLetter().body).toContain('From: lab@ninthmole.example');
    expect(wayIn()).toBe(invited.path);
    const seen = (await app.visitor.get(`/api/invitations/${secretOf(wayIn())}`).expect(200))
      .body as InvitationView;
    expect(seen).toEqual({ name: 'Rowan', role: 'barista', email: 'rowan@ninthmole.example' });
    // Named is not let in.
    await app.visitor
      .post('/api/session')
      .send({ email: 'rowan@ninthmole.example', password: 'ten letters' })
      .expect(401);
  });

  it('goes again to whoever forgot his password', async () => {
    const { id } = await add({ name: 'Alder', email: 'alder@ninthmole.example' });
    const told = { name: 'Alder', email: 'alder@ninthmole.example', password: 'ten letters' };
    await app.visitor
      .put(`/api/invitations/${secretOf(wayIn())}`)
      .send(told)
      .expect(204);
    const count = post.letters.length;
    const again = (await app.lead.post(`/api/people/${id}/invitation`).expect(201)).body as InvitedView;
    expect(again.isSent).toBe(true);
    expect(post.letters).toHaveLength(count + 1);
    expect(lastLetter().body).toContain('Another way into Vendu');
    expect(wayIn()).toBe(again.path);
  });

  it('that no mail server takes is told, and still good', async () => {
    const invited = await add({ name: 'Nobody', email: UNKNOWN });
    expect(invited.isSent).toBe(false);
    await app.visitor.get(`/api/invitations/${secretOf(invited.path)}`).expect(200);
  });

  it('goes to nobody where no e-mail is named', async () => {
    const count = post.letters.length;
    expect((await add({ name: 'By hand' })).isSent).toBeNull();
    expect(post.letters).toHaveLength(count);
  });

  it.each(['ilse@ninthmole.example', 'no address', ''])('is refused for the e-mail “%s”', async (email) => {
    const refused = (
      await app.lead.post('/api/people').send({ name: 'Double', role: 'barista', email }).expect(422)
    ).body as Problem;
    expect(refused.errors[0]?.field).toBe('email');
  });

  it('says nothing in a letter that its lines could be taken for', async () => {
    await add({ name: 'Two\r\nBcc: everybody@house.example', email: 'two@ninthmole.example' });
    const [head] = lastLetter().body.split('\r\n\r\n');
    expect(head).not.toContain('everybody');
    expect(lastLetter().to).toBe('two@ninthmole.example');
  });
});

describe('the mail server', () => {
  const letter = { to: 'rowan@ninthmole.example', subject: 'A way in', text: 'x' };

  it('that is gone has taken nothing', async () => {
    const gone = await standInMailServer();
    await gone.close();
    expect(await new Mailer({ mail: { server: gone.address, ...FROM } }).send(letter)).toBe(false);
  });

  it('that is reached by a network gets nothing in the clear', async () => {
    // By its name it could be any machine.
    const server = post.address.replace('127.0.0.1', 'localhost');
    const count = post.letters.length;
    expect(await new Mailer({ mail: { server, ...FROM } }).send(letter)).toBe(false);
    expect(post.letters).toHaveLength(count);
  });

  it('is not asked where none is set', async () => {
    const mailer = new Mailer({ mail: null });
    expect(mailer.addressOf('/invited/x')).toBeNull();
    expect(await mailer.send(letter)).toBe(false);
  });
});
