import { TextUpTo } from '../validation/decorators.js';

export const HANDOVER_NOTE = { label: 'Note', max: 1000, required: true } as const;

/** What a shift leaves the next in words. */
export class HandoverNoteDto {
  @TextUpTo(HANDOVER_NOTE)
  text!: string;
}

/** Something that was done with a lot. */
export interface HandoverEvent {
  at: string;
  by: string;
  kind: 'brewed' | 'accepted' | 'signed-off' | 'published' | 'withdrawn';
  lotId: number;
  lotName: string;
  /** Of the brew, or of the version. */
  number: number;
  /** Of a brew that was read. */
  tdsPercent: number | null;
}

/** What the last day leaves to whoever comes next. */
export interface HandoverView {
  /** Newest first. */
  events: HandoverEvent[];
  notes: { id: number; text: string; by: string; at: string }[];
}
