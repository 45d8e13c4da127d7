import { ArrayNotEmpty, ArrayUnique, IsArray, IsIn, IsUrl } from 'class-validator';
import { TextUpTo } from '../validation/decorators.js';

/** What another program can be told as it happens. */
export const WEBHOOK_EVENTS = ['published', 'recalled', 'alarm'] as const;
export type WebhookEvent = (typeof WEBHOOK_EVENTS)[number];

const LONGEST_ADDRESS = 500;

export class NewWebhookDto {
  @TextUpTo({ label: 'For what', max: 60, required: true })
  name!: string;

  @TextUpTo({ label: 'Address', max: LONGEST_ADDRESS, required: true })
  // Programs of the lab's own network have short names.
  @IsUrl(
    { require_tld: false, protocols: ['http', 'https'], require_protocol: true, disallow_auth: true },
    { message: 'Address must be one of the web, as https://example.org/vendu.' },
  )
  url!: string;

  @IsArray({ message: 'When must be a list.' })
  @ArrayNotEmpty({ message: 'Choose when it is told.' })
  @ArrayUnique({ message: 'Each can be chosen once.' })
  @IsIn(WEBHOOK_EVENTS, { each: true, message: `When must be among: ${WEBHOOK_EVENTS.join(', ')}.` })
  events!: WebhookEvent[];
}

/** One thing that was told, or is to be. */
export interface WebhookDelivery {
  id: number;
  event: WebhookEvent;
  /** What of: a lot and its brewer. */
  about: string;
  createdAt: string;
  tries: number;
  /** `waiting` until it is tried, or tried again; `given-up` after the last try. */
  state: 'waiting' | 'told' | 'given-up';
  /** What the other side answered, or why it was not reached. */
  answer: string;
  nextTryAt: string | null;
}

/** An address that is told. */
export interface WebhookView {
  id: number;
  name: string;
  url: string;
  events: WebhookEvent[];
  isEnded: boolean;
  /** The newest first. */
  deliveries: WebhookDelivery[];
}

export interface NewWebhookView extends WebhookView {
  /** What the other side checks signatures with; only in the answer to its making. */
  secret: string;
}
