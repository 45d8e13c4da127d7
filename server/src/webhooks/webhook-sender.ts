import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { addMilliseconds } from 'date-fns';
import { Op, Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Webhook } from 'standardwebhooks';
import { fetch } from 'undici';
import { WebhookDeliveryModel } from './webhook-delivery.model.js';
import { WebhookModel } from './webhook.model.js';
import { WebhookReach } from './webhook-reach.js';

const LOOKS_EVERY_MS = 3000;
const AT_ONCE = 10;
/** Whoever does not answer in this time is asked again later. */
const ANSWER_WITHIN_MS = 10_000;
/** Held so long by the server that sends it: another takes it up where that one went down meanwhile. */
const HELD_MS = 60_000;
const MINUTE_MS = 60_000;
/** Waits before the second and each further try: three days in all, then it is given up. */
const WAITS_MS = [1, 5, 30, 120, 480, 1440, 2280].map((minutes) => minutes * MINUTE_MS);
const LONGEST_ANSWER = 200;

/** Tells what was taken down: signed, in its order as far as it is answered, again until it is. */
@Injectable()
export class WebhookSender implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly logger = new Logger(WebhookSender.name);
  private timer: NodeJS.Timeout | null = null;
  private sending: Promise<void> | null = null;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly reach: WebhookReach,
  ) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => void this.send(), LOOKS_EVERY_MS).unref();
  }

  async onModuleDestroy(): Promise<void> {
    if (this.timer) clearInterval(this.timer);
    await this.sending;
  }

  /** Sends what is due; whoever asks while it is sending waits for that. */
  send(): Promise<void> {
    this.sending ??= this.sendDue()
      // The database may be away: it is looked again soon.
      .catch((error: unknown) => this.logger.warn(error))
      .finally(() => (this.sending = null));
    return this.sending;
  }

  private async sendDue(): Promise<void> {
    const due = await this.take();
    await Promise.all(due.map((delivery) => this.deliver(delivery)));
  }

  /** Takes what is due so that no other server does. */
  private take(): Promise<WebhookDeliveryModel[]> {
    return this.sequelize.transaction(
      { isolationLevel: Transaction.ISOLATION_LEVELS.READ_COMMITTED },
      async (transaction) => {
        const due = await WebhookDeliveryModel.findAll({
          where: { nextTryAt: { [Op.lte]: new Date() } },
          order: ['id'],
          limit: AT_ONCE,
          lock: transaction.LOCK.UPDATE,
          skipLocked: true,
          transaction,
        });
        const held = addMilliseconds(new Date(), HELD_MS);
        await WebhookDeliveryModel.update(
          { nextTryAt: held },
          { where: { id: due.map(({ id }): number => id) }, transaction },
        );
        return due;
      },
    );
  }

  private async deliver(delivery: WebhookDeliveryModel): Promise<void> {
    const hook = await WebhookModel.findByPk(delivery.webhookId, { rejectOnEmpty: true });
    const tries = delivery.tries + 1;
    if (hook.endedAt !== null) {
      await delivery.update({ nextTryAt: null, answer: 'the address was ended' });
      return;
    }
    const { isTold, answer } = await asked(hook, delivery, this.reach);
    const wait = WAITS_MS[tries - 1];
    const isOver = isTold || wait === undefined;
    await delivery.update({
      tries,
      answer: answer.slice(0, LONGEST_ANSWER),
      toldAt: isTold ? new Date() : null,
      nextTryAt: isOver ? null : addMilliseconds(new Date(), wait),
    });
  }
}

/** Signed as the Standard Webhooks specification has it, so that any of its libraries can check it. */
async function asked(
  { url, secret }: WebhookModel,
  { id, body }: WebhookDeliveryModel,
  reach: WebhookReach,
): Promise<{ isTold: boolean; answer: string }> {
  const text = JSON.stringify(body);
  const [messageId, sentAt] = [`news_${id}`, new Date()];
  try {
    const response = await fetch(url, {
      dispatcher: reach.dispatcherFor(url),
      method: 'POST',
      body: text,
      // Where it leads is somebody else's choice.
      redirect: 'manual',
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
      headers: {
        'content-type': 'application/json',
        'user-agent': 'Vendu',
        'webhook-id': messageId,
        'webhook-timestamp': String(Math.floor(sentAt.getTime() / 1000)),
        'webhook-signature': new Webhook(secret).sign(messageId, sentAt, text),
      },
    });
    await response.body?.cancel();
    return { isTold: response.ok, answer: `answered ${response.status}` };
  } catch (error) {
    return { isTold: false, answer: `not reached: ${reasonOf(error)}` };
  }
}

/** `fetch` says only that it failed; why stands behind it. */
function reasonOf(error: unknown): string {
  if (!(error instanceof Error)) return 'unknown';
  if (error.name === 'TimeoutError') return `no answer within ${ANSWER_WITHIN_MS / 1000} s`;
  return error.cause instanceof Error ? error.cause.message : error.message;
}
