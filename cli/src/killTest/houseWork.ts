import { randomUUID } from 'node:crypto';
import { visitor, type Answer, type Lab } from '../trust/lab.js';

/** What else a desk does beside a lot: lets somebody in, says how warm the room is, has two versions tasted blind. */
export interface HouseWork {
  name: string;
  roomC: number;
  versionIds: readonly number[];
}

/** Sends something until it is answered as stored. */
type UntilTaken = (send: () => Promise<Answer>) => Promise<Answer>;

const PASSWORD = 'a long harbour wall';
const TASTERS = 6;
const STAGE = 'hot';
const ROLE = 'barista';

export async function workForHouse(lab: Lab, work: HouseWork, untilTaken: UntilTaken): Promise<void> {
  await letIn(lab, work.name, untilTaken);
  await sayRoom(lab, work.roomC, untilTaken);
  await tasteBlind(lab, work, untilTaken);
}

const mailOf = (name: string) => `${name.toLowerCase().replace(' ', '-')}@ninthmole.example`;

async function letIn({ url, lead }: Lab, name: string, untilTaken: UntilTaken): Promise<void> {
  const key = randomUUID();
  const { body } = await untilTaken(() => lead.post('people', { name, role: ROLE }, key));
  const secret = (body as { path: string }).path.split('/').at(-1) ?? '';
  const somebody = visitor(url);
  await untilTaken(async () => {
    const told = { name, email: mailOf(name), password: PASSWORD };
    const answer = await somebody.put(`invitations/${secret}`, told);
    if (answer.status !== 404 && answer.status !== 409) return answer;
    // Taken before its answer was lost: whoever has a password tries it.
    return somebody.post('session', { email: told.email, password: PASSWORD });
  });
}

async function sayRoom({ lead }: Lab, roomC: number, untilTaken: UntilTaken): Promise<void> {
  await untilTaken(async () => {
    const read = await lead.get('kit');
    if (read.status !== 200) return read;
    const { house } = read.body as { house: { roomC: number; window: object } };
    if (house.roomC === roomC) return read;
    const { name, place, elevationM, revision } = house as Record<string, unknown>;
    return lead.put('kit/house', { name, place, elevationM, revision, ...house.window, roomC });
  });
}

async function tasteBlind(
  { url, barista }: Lab,
  { name, versionIds }: HouseWork,
  untilTaken: UntilTaken,
): Promise<void> {
  const post = async (path: string, sent: object) => {
    const key = randomUUID();
    return (await untilTaken(() => barista.post(path, sent, key))).body;
  };
  const { id } = (await post('comparisons', {
    question: name,
    asks: ['kettle'],
    versionIds,
    matchedBy: 'dial',
    rounds: 1,
  })) as { id: number };
  const { tests } = (await post(`comparisons/${id}/blind-tests`, {
    method: 'triangle',
    arms: [0, 1],
    stages: [STAGE],
    tasters: TASTERS,
    asksFor: '',
    alphaPercent: 5,
    hours: 1,
  })) as { tests: { id: number; places: { path: string }[] }[] };
  const test = tests.at(-1);
  await untilTaken(() => barista.post(`blind-tests/${test?.id ?? 0}/pouring`));
  const place = test?.places[0]?.path.slice(1) ?? '';
  const device = randomUUID().replaceAll('-', '');
  const phone = visitor(url);
  const taken = await untilTaken(() => phone.put(`${place}/taken`, { device }));
  const [chosen] = (taken.body as { codes: string[] }).codes;
  await untilTaken(() => phone.put(`${place}/answers/${STAGE}`, { device, chosen }));
}

/** What is there of it once all is quiet again: each once, as it was sent last. */
export async function houseWorkFound({ lead }: Lab, name: string): Promise<Record<string, number>> {
  const people = (await lead.get('people')).body as { name: string; email: string; standing: string }[];
  const comparisons = (await lead.get('comparisons')).body as { id: number; question: string }[];
  const asked = comparisons.filter(({ question }) => question === name);
  const { tests } = (await lead.get(`comparisons/${asked[0]?.id ?? 0}`)).body as {
    tests: { places: { answered: string[] }[] }[];
  };
  const own = people.filter((person) => person.name === name);
  return {
    people: own.length,
    'people let in': own.filter(({ standing, email }) => standing === 'in' && email === mailOf(name)).length,
    comparisons: asked.length,
    'blind tests': tests.length,
    'blind answers': tests.flatMap(({ places }) => places.flatMap(({ answered }) => answered)).length,
  };
}

export const HOUSE_WORK_WRITTEN: Record<string, number> = {
  people: 1,
  'people let in': 1,
  comparisons: 1,
  'blind tests': 1,
  'blind answers': 1,
};

export async function roomFound({ lead }: Lab): Promise<number> {
  return ((await lead.get('kit')).body as { house: { roomC: number } }).house.roomC;
}
