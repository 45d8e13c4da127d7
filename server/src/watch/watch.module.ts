import { Module } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { BrewsModule } from '../brews/brews.module.js';
import { WATCHED_WORDS } from '@vendu/core';
import type { WatchView } from '@vendu/contract';
import { WebhookQueue, type News } from '../webhooks/webhook-queue.js';
import { WebhooksModule } from '../webhooks/webhooks.module.js';
import { Writing } from '../writing/writing.js';
import { refreshWatch } from './refresh-watch.js';
import { WatchController } from './watch.controller.js';
import { WatchReader } from './watch-reader.js';
import { WatchService } from './watch.service.js';

@Module({
  imports: [BrewsModule, WebhooksModule],
  controllers: [WatchController],
  providers: [WatchReader, WatchService],
  exports: [WatchService],
})
export class WatchModule {
  constructor(writing: Writing, sequelize: Sequelize, reader: WatchReader, news: WebhookQueue) {
    writing.follow(async (lotId) => {
      for (const watch of await refreshWatch(sequelize, reader, lotId)) await news.tell(alarmOf(watch));
    });
  }
}

function alarmOf({ lotId, lotName, recipeId, brewerName, versionNumber, alarms }: WatchView): News {
  const off = alarms.map(({ figure }) => WATCHED_WORDS[figure]).join(', ');
  return {
    event: 'alarm',
    lot: { id: lotId, name: lotName },
    recipe: { id: recipeId, brewer: brewerName, versionNumber },
    words: `${lotName}, ${brewerName} went off: ${off}.`,
    path: `/recipes/${recipeId}/watch`,
  };
}
