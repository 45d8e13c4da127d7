import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  InvitationView,
  InvitedView,
  MemberView,
  NewTokenView,
  OpenSessionView,
  SessionView,
  Problem,
} from '@vendu/contract';
import { InvitationsService } from '../src/people/invitations.service.js';
import { PeopleService } from '../src/people/people.service.js';
import { PersonModel } from '../src/people/person.model.js';
import { SessionModel } from '../src/session/session.model.js';
import { connectTo } from './support/database.js';
import { startTestApplication, type TestApplication } from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

const add = async (name: string, role = 'barista') =>
  (await app.lead.post('/api/people').send({ name, role }).expect(201)).body as InvitedView;
const members = async () => (await app.lead.get('/api/people').expect(200)).body as MemberView[];
const member = async (id: number) => (await members()).find((each) => each.id === id);
const secretOf = ({ path }: { path: string }) => path.replace('/invited/', '');
const accept = (path: string, told: object, status: number) =>
  app.visitor
    .put(`/api/invitations/${secretOf({ path })}`)
    .send(told)
    .expect(status);
type Agent = ReturnType<typeof request.agent>;

/** A browser of his own. */
async function enter(email: string, password: string) {
  const agent = request.agent(app.url);
  await agent.post('/api/session').send({ email, password }).expect(200);
  return agent;
}

describe('people', () => {
  it('come by an invitation, once, and say themselves how they sign in', async () => {
    const invited = await add('Wren Oakes');
    expect(await member(invited.id)).toMatchObject({ standing: 'invited', email: null });
    const seen = (await app.visitor.get(`/api/invitations/${secretOf(invited)}`).expect(200))
      .body as InvitationView;
    expect(seen).toEqual({ name: 'Wren Oakes', role: 'barista', email: '' });
    const told = { name: 'Wren Oakes', email: 'Wren@ninthmole.example', password: 'ten letters' };
    await accept(invited.path, { ...told, password: 'short' }, 422);
    await accept(invited.path, { ...told, email: 'wren' }, 422);
    const taken = (await accept(invited.path, { ...told, email: 'ilse@ninthmole.example' }, 422))
      .body as Problem;
    expect(taken.errors[0]).toMatchObject({
      field: 'email',
      message: expect.stringMatching(/already/) as string,
    });
    await accept(invited.path, told, 204);
    await accept(invited.path, { ...told, password: 'another one' }, 404);
    const wren = await enter('wren@ninthmole.example', 'ten letters');
    await wren.get('/api/lots').expect(200);
    await wren.get('/api/people').expect(403);
    expect(await member(invited.id)).toMatchObject({ standing: 'in', email: 'wren@ninthmole.example' });
  });

  it('of one invitation taken by two at once one is in', async () => {
    const { path } = await add('Two at once');
    const answers = await Promise.all(
      [1, 2].map((each) =>
        app.visitor
          .put(`/api/invitations/${secretOf({ path })}`)
          .send({ name: 'Two', email: `two${each}@ninthmole.example`, password: 'ten letters' }),
      ),
    );
    expect(answers.map(({ status }) => status).sort((a, b) => a - b)).toEqual([204, 404]);
  });

  it('who forgot his password gets another way in, and the one before is worth nothing', async () => {
    const first = await add('Forgetful');
    const second = (await app.lead.post(`/api/people/${first.id}/invitation`).expect(201))
      .body as InvitedView;
    const told = { name: 'Forgetful', email: 'forgetful@ninthmole.example', password: 'ten letters' };
    await accept(first.path, told, 404);
    await accept(second.path, told, 204);
    const again = (await app.lead.post(`/api/people/${first.id}/invitation`).expect(201)).body as InvitedView;
    await accept(again.path, { ...told, password: 'ten others' }, 204);
    await app.visitor.post('/api/session').send({ email: told.email, password: 'ten letters' }).expect(401);
    await enter(told.email, 'ten others');
  });

  it('who left is let in nowhere, not by a session, a token or a password, and comes back by a lead', async () => {
    const invited = await add('Leaves soon');
    await accept(
      invited.path,
      { name: 'Leaves soon', email: 'leaves@ninthmole.example', password: 'ten letters' },
      204,
    );
    const theirs = await enter('leaves@ninthmole.example', 'ten letters');
    const endsOn = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    const { token } = (
      await theirs.post('/api/tokens').send({ name: 'at night', right: 'read', endsOn }).expect(201)
    ).body as NewTokenView;
    const program = () => request(app.url).get('/api/lots').set('Authorization', `Bearer ${token}`);
    await program().expect(200);
    await app.lead.put(`/api/people/${invited.id}/left`).expect(200);
    await theirs.get('/api/lots').expect(401);
    await program().expect(401);
    await app.visitor
      .post('/api/session')
      .send({ email: 'leaves@ninthmole.example', password: 'ten letters' })
      .expect(401);
    await app.lead.delete(`/api/people/${invited.id}/left`).expect(200);
    await theirs.get('/api/lots').expect(200);
  });

  it('who left has no way in left over, and is given none', async () => {
    const invited = await add('Left before');
    await app.lead.put(`/api/people/${invited.id}/left`).expect(200);
    const told = { name: 'Left before', email: 'before@ninthmole.example', password: 'ten letters' };
    await accept(invited.path, told, 404);
    await app.lead.post(`/api/people/${invited.id}/invitation`).expect(409);
    expect(await member(invited.id)).toMatchObject({ standing: 'left' });
  });

  it('a lab keeps a lead: the only one cannot leave, nor two let each other go at once', async () => {
    const [ilse] = (await members()).filter(({ role }) => role === 'lead');
    await app.lead.put(`/api/people/${ilse?.id}/left`).expect(409);
    await app.lead.put(`/api/people/${ilse?.id}/role`).send({ role: 'barista' }).expect(409);
    const second = await add('Second lead', 'lead');
    await accept(
      second.path,
      { name: 'Second lead', email: 'second@ninthmole.example', password: 'ten letters' },
      204,
    );
    const other = await enter('second@ninthmole.example', 'ten letters');
    const answers = await Promise.all([
      app.lead.put(`/api/people/${second.id}/role`).send({ role: 'barista' }),
      other.put(`/api/people/${ilse?.id}/role`).send({ role: 'barista' }),
    ]);
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    const left = (await PersonModel.findAll({ where: { role: 'lead' } })).map(({ id }) => id);
    expect(left).toHaveLength(1);
    await PersonModel.update({ role: 'lead' }, { where: { id: ilse?.id ?? 0 } });
    await PersonModel.update({ role: 'barista' }, { where: { id: second.id } });
  });

  it('begin with no password that is tried first, and go on with none', async () => {
    const invited = await add('Begins well');
    const told = { name: 'Begins well', email: 'well@ninthmole.example' };
    const refused = await accept(invited.path, { ...told, password: 'Password123' }, 422);
    expect((refused.body as Problem).errors).toMatchObject([{ field: 'password' }]);
    await accept(invited.path, { ...told, password: 'ten letters' }, 204);
    const agent = await enter(told.email, 'ten letters');
    const changed = await agent
      .put('/api/password')
      .send({ present: 'ten letters', next: '1234567890' })
      .expect(422);
    expect((changed.body as Problem).errors).toMatchObject([{ field: 'next' }]);
  });

  it('are looked after by an admin, who has no hand in recipes and tastes nothing', async () => {
    const invited = await add('Looks after it', 'admin');
    const email = 'after@ninthmole.example';
    await accept(invited.path, { name: 'Looks after it', email, password: 'ten letters' }, 204);
    const admin = await enter(email, 'ten letters');
    for (const path of [
      'people',
      'people/edits',
      'operations',
      'tokens',
      'webhooks',
      'imports',
      'sessions',
    ]) {
      await admin.get(`/api/${path}`).expect(200);
    }
    const wren = (await admin.post('/api/people').send({ name: 'By an admin', role: 'barista' }).expect(201))
      .body as InvitedView;
    await admin.put(`/api/people/${wren.id}/left`).expect(200);
    for (const path of ['lots', 'brews/1', 'today', 'cups', 'reports/tasters']) {
      const refused = await admin.get(`/api/${path}`).expect(403);
      expect((refused.body as Problem).detail).toBe(
        'An admin looks after people, programs and copies; ask a barista or a lead for the rest.',
      );
    }
    const { detail } = (await app.barista.get('/api/people').expect(403)).body as Problem;
    expect(detail).toBe('Only a lead or an admin can do this; ask one.');
    // Nobody of them is a pair of hands of a day.
    const hands = await new PeopleService(app.configuration).hands();
    expect(hands.map(({ id }) => id)).not.toContain(invited.id);
  });

  it('change their own password, by the present one', async () => {
    const invited = await add('Changes hers');
    await accept(
      invited.path,
      { name: 'Changes hers', email: 'hers@ninthmole.example', password: 'ten letters' },
      204,
    );
    const hers = await enter('hers@ninthmole.example', 'ten letters');
    await hers.put('/api/password').send({ present: 'wrong', next: 'ten others' }).expect(422);
    await hers.put('/api/password').send({ present: 'ten letters', next: 'short' }).expect(422);
    await hers.put('/api/password').send({ present: 'ten letters', next: 'ten others' }).expect(204);
    await enter('hers@ninthmole.example', 'ten others');
  });
});

describe('sessions', () => {
  const FIREFOX = 'Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0';
  const listed = async (agent: Agent) =>
    (await agent.get('/api/sessions').expect(200)).body as OpenSessionView[];

  async function somebody(name: string) {
    const { path } = await add(name);
    const email = `${name.toLowerCase()}@ninthmole.example`;
    await accept(path, { name, email, password: 'ten letters' }, 204);
    const on = async (browser: string, password = 'ten letters') => {
      const agent = request.agent(app.url).set('user-agent', browser);
      await agent.post('/api/session').send({ email, password }).expect(200);
      return agent;
    };
    return { email, on };
  }

  it('are listed by device, the asking one told apart, and ended one by one or all others at once', async () => {
    const { on } = await somebody('Sorrel');
    const [first, second, third] = [await on(FIREFOX), await on('curl/8.0'), await on(FIREFOX)];
    const seen = await listed(first);
    expect(seen.map(({ device, isThis }) => ({ device, isThis }))).toEqual(
      expect.arrayContaining([
        { device: 'Firefox on Linux', isThis: true },
        { device: 'Firefox on Linux', isThis: false },
        { device: expect.any(String) as string, isThis: false },
      ]),
    );
    expect(seen).toHaveLength(3);
    const mine = seen.find(({ isThis }) => isThis)!;
    expect(Math.abs(Date.parse(mine.begunAt) - Date.now())).toBeLessThan(60_000);
    const curl = seen.find(({ device }) => device !== 'Firefox on Linux')!;
    await first.delete(`/api/sessions/${curl.key}`).expect(204);
    await second.get('/api/lots').expect(401);
    await first.delete(`/api/sessions/${curl.key}`).expect(404);
    await third.delete('/api/sessions').expect(204);
    await first.get('/api/lots').expect(401);
    expect(await listed(third)).toHaveLength(1);
  });

  it('of another are counted for whoever runs the lab, who ends them all', async () => {
    const { email, on } = await somebody('Yarrow');
    const [first, second] = [await on(FIREFOX), await on('curl/8.0')];
    const yarrow = async () =>
      ((await app.lead.get('/api/people').expect(200)).body as MemberView[]).find(
        (each) => each.email === email,
      )!;
    const { id, devices } = await yarrow();
    expect(devices).toBe(2);
    await app.barista.delete(`/api/people/${id}/sessions`).expect(403);
    await app.lead.delete(`/api/people/${id}/sessions`).expect(204);
    for (const device of [first, second]) await device.get('/api/lots').expect(401);
    expect((await yarrow()).devices).toBe(0);
    await app.lead.delete('/api/people/999999/sessions').expect(404);
    // Whoever asks stays where he asks from.
    const asking = (await app.lead.get('/api/session').expect(200)).body as SessionView;
    await app.lead.delete(`/api/people/${asking.person!.id}/sessions`).expect(204);
    await app.lead.get('/api/lots').expect(200);
  });

  it('of another are nobody’s to see or to end, and their names are told to nobody', async () => {
    const [one, two] = [await somebody('Fern'), await somebody('Reed')];
    const [theirs, mine] = [await one.on(FIREFOX), await two.on(FIREFOX)];
    const [session] = await listed(theirs);
    await mine.delete(`/api/sessions/${session!.key}`).expect(404);
    await theirs.get('/api/lots').expect(200);
    await app.visitor.get('/api/sessions').expect(401);
    const ids = (await SessionModel.findAll()).map(({ id }) => id);
    const told = JSON.stringify(await listed(theirs));
    expect(ids.some((id) => told.includes(id))).toBe(false);
  });

  it('end elsewhere with a new password, all of them with another way in, and by themselves in half a year', async () => {
    const { email, on } = await somebody('Alder');
    const [here, elsewhere] = [await on(FIREFOX), await on(FIREFOX)];
    await here.put('/api/password').send({ present: 'wrong words', next: 'ten others' }).expect(422);
    await elsewhere.get('/api/lots').expect(200);
    await here.put('/api/password').send({ present: 'ten letters', next: 'ten others' }).expect(204);
    await here.get('/api/lots').expect(200);
    await elsewhere.get('/api/lots').expect(401);

    const { id } = (await members()).find((each) => each.email === email)!;
    const again = (await app.lead.post(`/api/people/${id}/invitation`).expect(201)).body as InvitedView;
    await accept(again.path, { name: 'Alder', email, password: 'ten thirds' }, 204);
    await here.get('/api/lots').expect(401);

    const old = await on(FIREFOX, 'ten thirds');
    await SessionModel.update(
      { begunAt: new Date(Date.now() - 181 * 86_400_000) },
      { where: { personId: id } },
    );
    await old.get('/api/lots').expect(401);
  });
});

describe('a lab that nobody can sign in to', () => {
  it('has a first lead by an invitation that names nobody, and no second one', async () => {
    const own = await startTestApplication({ isDemo: false });
    try {
      const connection = await connectTo(own.configuration);
      await connection.query('UPDATE people SET password_hash = NULL, email = NULL');
      await connection.end();
      const people = new PeopleService(own.configuration);
      expect(await people.all()).toEqual([]);
      const invitations = new InvitationsService(PersonModel.sequelize as never);
      const before = await invitations.make(null, null);
      const path = await invitations.make(null, null);
      const told = { name: 'The first', email: 'first@lab.example', password: 'ten letters' };
      const taking = (way: string) =>
        own.visitor.put(`/api${way.replace('invited', 'invitations')}`).send(told);
      await taking(before).expect(404);
      await taking(path).expect(204);
      await taking(path).expect(404);
      const signedIn = await own.visitor
        .post('/api/session')
        .send({ email: told.email, password: told.password })
        .expect(200);
      expect(signedIn.body).toMatchObject({ person: { name: 'The first', role: 'lead' } });
      expect(await people.all()).toHaveLength(1);
    } finally {
      await own.close();
    }
  });
});
