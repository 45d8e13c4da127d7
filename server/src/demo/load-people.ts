import { hash } from '@node-rs/argon2';
import { DEMO_ACCOUNTS } from '../people/demo-accounts.js';
import { PersonModel } from '../people/person.model.js';

interface Shift {
  inFrom: string;
  inUntil: string;
  /** When its brews of the scenario begin where they do not say, UTC. */
  brewsAtHour: number;
  /** By their place among the accounts. */
  people: readonly number[];
}

/** Two shifts, which meet over noon. The lead comes when she is needed. */
const SHIFTS: readonly Shift[] = [
  { inFrom: '06:30', inUntil: '14:30', brewsAtHour: 9, people: [1, 3] },
  { inFrom: '12:30', inUntil: '20:30', brewsAtHour: 14, people: [2, 4] },
];
const LEADS_HOUR = 9;

const shiftOf = (person: number) => SHIFTS.find(({ people }) => people.includes(person));

/** The hour in which somebody of the demo brews, UTC. */
export const brewsAtHour = (person: number) => shiftOf(person)?.brewsAtHour ?? LEADS_HOUR;

/** The people of the demo, in the order of its accounts. */
export async function loadPeople(): Promise<PersonModel[]> {
  return PersonModel.bulkCreate(
    await Promise.all(
      DEMO_ACCOUNTS.map(async ({ name, role, email, password }, place) => {
        const { inFrom = null, inUntil = null } = shiftOf(place) ?? {};
        return { name, role, email, passwordHash: await hash(password), inFrom, inUntil };
      }),
    ),
  );
}
