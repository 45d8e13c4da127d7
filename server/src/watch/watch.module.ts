import { Module } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { BrewsModule } from '../brews/brews.module.js';
import { KitModule } from '../kit/kit.module.js';
import { KitService } from '../kit/kit.service.js';
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
  imports: [BrewsModule, KitModule, WebhooksModule],
  controllers: [WatchController],
  providers: [WatchReader, WatchService],
  exports: [WatchService],
})
export class WatchModule {
  constructor(
    writing: Writing,
    sequelize: Sequelize,
    reader: WatchReader,
    news: WebhookQueue,
    kit: KitService,
    watch: WatchService,
  ) {
    writing.follow(async (lotId) => {
      for (const off of await refreshWatch(sequelize, reader, lotId)) await news.tell(alarmOf(off));
    });
    kit.follow((what, id) => watch.kitChanged(what, id));
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
