import { createHash } from 'node:crypto';
import { Op } from 'sequelize';
import type { OpenSessionView } from '@vendu/contract';
import { notFound } from '../problem/problem-error.js';
import { SESSION_AGE_MS } from './session-store.js';
import { SessionModel } from './session.model.js';

/** So many devices nobody looks through. */
const MOST_LISTED = 20;

/** A session is told by this from outside: its own name is what opens the lab. */
const keyOf = (id: string) => createHash('sha256').update(id).digest('hex').slice(0, 16);

const openOf = (personId: number) => ({ personId, expiresAt: { [Op.gt]: new Date() } });

/** Where somebody is signed in, the last used first. */
export async function openSessions(personId: number, currentId: string): Promise<OpenSessionView[]> {
  const rows = await SessionModel.findAll({
    where: openOf(personId),
    order: [['expiresAt', 'DESC']],
    limit: MOST_LISTED,
  });
  return rows.map(({ id, device, begunAt, expiresAt }) => ({
    key: keyOf(id),
    device,
    begunAt: (begunAt ?? expiresAt).toISOString(),
    // It lives so long from when it was used last.
    usedAt: new Date(expiresAt.getTime() - SESSION_AGE_MS).toISOString(),
    isThis: id === currentId,
  }));
}

/** On how many devices each person is signed in, of those who are. */
export async function devicesOfPeople(): Promise<Map<number, number>> {
  const rows = await SessionModel.count({
    where: { personId: { [Op.not]: null }, expiresAt: { [Op.gt]: new Date() } },
    group: ['personId'],
  });
  return new Map(rows.map(({ personId, count }) => [Number(personId), count]));
}

/** @throws ProblemError `not-found` where he has no such session; another's is none of his */
export async function endSession(personId: number, key: string): Promise<void> {
  const rows = await SessionModel.findAll({ where: openOf(personId), attributes: ['id'] });
  const found = rows.find(({ id }) => keyOf(id) === key);
  if (!found) throw notFound('session');
  await found.destroy();
}

/** @param exceptId - the session that stays, if one does */
export async function endSessionsOf(personId: number, exceptId: string | null = null): Promise<void> {
  await SessionModel.destroy({
    where: { personId, ...(exceptId === null ? {} : { id: { [Op.ne]: exceptId } }) },
  });
}
