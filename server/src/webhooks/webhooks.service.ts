import { randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { NewWebhookDto, NewWebhookView, WebhookDelivery, WebhookView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound } from '../problem/problem-error.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { WebhookDeliveryModel } from './webhook-delivery.model.js';
import { WebhookModel } from './webhook.model.js';
import { WebhookReach } from './webhook-reach.js';

const SECRET_BYTES = 32;
/** Shown of each address. */
const NEWEST = 10;

@Injectable()
export class WebhooksService {
  constructor(
    private readonly writing: Writing,
    private readonly reach: WebhookReach,
  ) {}

  async all(): Promise<WebhookView[]> {
    const hooks = await WebhookModel.findAll({ order: ['id'] });
    return Promise.all(hooks.map(view));
  }

  async make(
    { name, url, events }: NewWebhookDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<NewWebhookView> {
    const refusal = this.reach.refusalOf(url);
    if (refusal !== null) throw invalidField({ field: 'url', message: refusal });
    const secret = `whsec_${randomBytes(SECRET_BYTES).toString('base64')}`;
    const made = { name, url, events: [...events], secret, createdBy: person.id };
    const id = await this.writing.once(request, async () => (await WebhookModel.create(made)).id);
    const hook = await WebhookModel.findByPk(id, { rejectOnEmpty: true });
    return { ...(await view(hook)), secret: hook.secret };
  }

  async setEnded(id: number, isEnded: boolean): Promise<WebhookView> {
    const hook = await WebhookModel.findByPk(id);
    if (!hook) throw notFound('webhook');
    await hook.update({ endedAt: isEnded ? new Date() : null });
    return view(hook);
  }

  /** At once, whether it was told, waits or was given up. */
  async tellAgain(deliveryId: number): Promise<WebhookView> {
    const delivery = await WebhookDeliveryModel.findByPk(deliveryId, { include: [WebhookModel] });
    if (!delivery) throw notFound('delivery');
    await delivery.update({ nextTryAt: new Date(), toldAt: null, tries: 0 });
    return view(delivery.webhook);
  }
}

async function view(hook: WebhookModel): Promise<WebhookView> {
  const deliveries = await WebhookDeliveryModel.findAll({
    where: { webhookId: hook.id },
    order: [['id', 'DESC']],
    limit: NEWEST,
  });
  return {
    id: hook.id,
    name: hook.name,
    url: hook.url,
    events: hook.events,
    isEnded: hook.endedAt != null,
    deliveries: deliveries.map(deliveryView),
  };
}

function deliveryView(row: WebhookDeliveryModel): WebhookDelivery {
  return {
    id: row.id,
    event: row.event,
    about: row.about,
    createdAt: row.createdAt.toISOString(),
    tries: row.tries,
    state: row.toldAt !== null ? 'told' : row.nextTryAt === null ? 'given-up' : 'waiting',
    answer: row.answer,
    nextTryAt: row.nextTryAt?.toISOString() ?? null,
  };
}
