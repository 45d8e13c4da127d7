import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { NewWebhookDto, type NewWebhookView, type WebhookView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { IdPipe } from '../problem/id.pipe.js';
import { LeadOrAdmin, SignedIn } from '../session/access.js';
import { RequestKey, type RequestKeyOf } from '../writing/request-key.js';
import { WebhooksService } from './webhooks.service.js';

@Controller()
@LeadOrAdmin()
export class WebhooksController {
  constructor(private readonly service: WebhooksService) {}

  @Get('webhooks')
  all(): Promise<WebhookView[]> {
    return this.service.all();
  }

  @Post('webhooks')
  make(
    @Body() webhook: NewWebhookDto,
    @SignedIn() person: PersonModel,
    @RequestKey() request: RequestKeyOf | null,
  ): Promise<NewWebhookView> {
    return this.service.make(webhook, person, request);
  }

  @Put('webhooks/:webhookId/ended')
  end(@Param('webhookId', IdPipe) id: number): Promise<WebhookView> {
    return this.service.setEnded(id, true);
  }

  @Delete('webhooks/:webhookId/ended')
  goOn(@Param('webhookId', IdPipe) id: number): Promise<WebhookView> {
    return this.service.setEnded(id, false);
  }

  @Post('webhook-deliveries/:deliveryId/again')
  @HttpCode(200)
  tellAgain(@Param('deliveryId', IdPipe) id: number): Promise<WebhookView> {
    return this.service.tellAgain(id);
  }
}
