import { expect, it } from 'vitest';
import { Room } from './room.js';

it('there is no room from the first answer that says so until something is stored again', () => {
  const room = new Room();
  expect(room.isFull).toBe(false);
  room.answered('PUT', 507);
  expect(room.isFull).toBe(true);
  // Reading needs none, and what is refused for another reason tells nothing of it.
  room.answered('GET', 200);
  room.answered('POST', 422);
  expect(room.isFull).toBe(true);
  room.answered('POST', 201);
  expect(room.isFull).toBe(false);
  room.answered('DELETE', 507);
  room.answered('DELETE', 204);
  expect(room.isFull).toBe(false);
});
