import type { NewWebhookDto, NewWebhookView, WebhookView } from '@vendu/contract';
import { api } from './api';

const webhookQueries = api.injectEndpoints({
  endpoints: (build) => ({
    webhooks: build.query<WebhookView[], void>({ query: () => 'webhooks', providesTags: ['Webhook'] }),
  }),
});

const webhooksApi = webhookQueries.injectEndpoints({
  endpoints: (build) => ({
    makeWebhook: build.mutation<NewWebhookView, NewWebhookDto>({
      query: (body) => ({ url: 'webhooks', method: 'POST', body }),
      invalidatesTags: ['Webhook'],
    }),
    setWebhookEnded: build.mutation<WebhookView, { id: number; isEnded: boolean }>({
      query: ({ id, isEnded }) => ({ url: `webhooks/${id}/ended`, method: isEnded ? 'PUT' : 'DELETE' }),
      invalidatesTags: ['Webhook'],
    }),
    tellAgain: build.mutation<WebhookView, number>({
      query: (deliveryId) => ({ url: `webhook-deliveries/${deliveryId}/again`, method: 'POST' }),
      invalidatesTags: ['Webhook'],
    }),
  }),
});

export const { useWebhooksQuery, useMakeWebhookMutation, useSetWebhookEndedMutation, useTellAgainMutation } =
  webhooksApi;
