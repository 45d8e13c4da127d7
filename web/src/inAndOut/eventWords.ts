import type { WebhookDelivery, WebhookEvent } from '@vendu/contract';

export const EVENT_WORDS: Record<WebhookEvent, string> = {
  published: 'a recipe becomes public',
  recalled: 'one is recalled',
  alarm: 'one goes off',
};

export const STATE_WORDS: Record<WebhookDelivery['state'], string> = {
  waiting: 'waits to be told',
  told: 'told',
  'given-up': 'given up',
};
