import { Module } from '@nestjs/common';
import { WebhookQueue } from './webhook-queue.js';
import { WebhookReach } from './webhook-reach.js';
import { WebhookSender } from './webhook-sender.js';
import { WebhooksController } from './webhooks.controller.js';
import { WebhooksService } from './webhooks.service.js';

@Module({
  controllers: [WebhooksController],
  providers: [WebhookQueue, WebhookReach, WebhookSender, WebhooksService],
  exports: [WebhookQueue],
})
export class WebhooksModule {}
