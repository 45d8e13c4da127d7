import { Injectable } from '@nestjs/common';
import type { WebhookEvent } from '@vendu/contract';
import { WebhookDeliveryModel } from './webhook-delivery.model.js';
import { WebhookModel } from './webhook.model.js';

/** What happened, for programs elsewhere: names and ids, and where to read the rest. */
export interface News {
  event: WebhookEvent;
  lot: { id: number; name: string };
  recipe: { id: number; brewer: string; versionNumber: number };
  /** In words, for whoever shows it as it is. */
  words: string;
  /** Path on this server. */
  path: string;
}

/** Takes down what is to be told, in the transaction of what happened: told exactly if that is stored. */
@Injectable()
export class WebhookQueue {
  async tell(news: News): Promise<void> {
    const hooks = await WebhookModel.findAll({ where: { endedAt: null }, order: ['id'] });
    const now = new Date();
    await WebhookDeliveryModel.bulkCreate(
      hooks
        .filter(({ events }) => events.includes(news.event))
        .map(({ id }) => ({
          webhookId: id,
          event: news.event,
          about: `${news.lot.name}, ${news.recipe.brewer}`,
          body: { ...news, at: now.toISOString() },
          nextTryAt: now,
        })),
    );
  }
}
