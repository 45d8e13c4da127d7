import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Op } from 'sequelize';
import { isGone } from '../database/database-faults.js';
import { SessionModel } from './session.model.js';

/** How often streams are told that the server lives, and looked at whether their session does, ms. */
const LOOKED_AT_EVERY_MS = 20_000;

/** An answer that goes on: it lasts as long as the session that asked for it. */
export interface LiveStream {
  sessionId: string;
  /** Writes something that says nothing, so that a dead connection is noticed. */
  beat: () => void;
  end: () => void;
}

@Injectable()
export class LiveStreams implements OnModuleDestroy {
  private readonly streams = new Set<LiveStream>();
  private readonly timer = setInterval(() => void this.look(), LOOKED_AT_EVERY_MS).unref();

  get count(): number {
    return this.streams.size;
  }

  countOf(sessionId: string): number {
    return [...this.streams].filter((stream) => stream.sessionId === sessionId).length;
  }

  /** @returns a function to call when the stream has ended */
  add(stream: LiveStream): () => void {
    this.streams.add(stream);
    return () => this.streams.delete(stream);
  }

  /** Ends what a session has open: somebody signed out. */
  endOf(sessionId: string): void {
    for (const stream of this.streams) if (stream.sessionId === sessionId) stream.end();
  }

  /** Ends the streams of sessions that have ended elsewhere or by their age. */
  async look(): Promise<void> {
    if (this.streams.size === 0) return;
    const ids = [...new Set([...this.streams].map(({ sessionId }) => sessionId))];
    try {
      const alive = await SessionModel.findAll({
        where: { id: ids, expiresAt: { [Op.gt]: new Date() } },
        attributes: ['id'],
      });
      for (const id of ids) if (!alive.some((session) => session.id === id)) this.endOf(id);
    } catch (error) {
      // A database that does not answer ends no brew at the bench.
      if (!isGone(error)) throw error;
    }
    for (const stream of this.streams) stream.beat();
  }

  onModuleDestroy(): void {
    clearInterval(this.timer);
    for (const stream of this.streams) stream.end();
  }
}
