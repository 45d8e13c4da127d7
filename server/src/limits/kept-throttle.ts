import { Injectable } from '@nestjs/common';
import type { ThrottlerStorage } from '@nestjs/throttler';
import { Attempts } from './attempts.js';

/** How often an address may ask, kept where all servers see it. */
@Injectable()
export class KeptThrottle implements ThrottlerStorage {
  constructor(private readonly attempts: Attempts) {}

  async increment(key: string, ttlMs: number, limit: number): ReturnType<ThrottlerStorage['increment']> {
    const counted = await this.attempts.count(key, { most: limit, withinMs: ttlMs });
    return {
      totalHits: counted.count,
      timeToExpire: Math.ceil(ttlMs / 1000),
      isBlocked: !counted.isAllowed,
      timeToBlockExpire: counted.isAllowed ? 0 : Math.ceil(counted.waitMs / 1000),
    };
  }
}
