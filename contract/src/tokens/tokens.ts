import { CalendarDate, OneOf, TextUpTo } from '../validation/decorators.js';

/** What a program may do with a token: read what its person may, or besides that store brews and all that belongs to them: readings, sheets, verdicts. */
export const TOKEN_RIGHTS = ['read', 'record'] as const;
export type TokenRight = (typeof TOKEN_RIGHTS)[number];

/** A token ends at the latest after so long: one that is forgotten opens nothing for ever. */
export const TOKEN_LONGEST_DAYS = 366;

export class NewTokenDto {
  @TextUpTo({ label: 'For what', max: 60, required: true })
  name!: string;

  @OneOf({ label: 'May', values: TOKEN_RIGHTS })
  right!: TokenRight;

  @CalendarDate({ label: 'Last day' })
  endsOn!: string;
}

/** A key for a program, of one person. */
export interface TokenView {
  id: number;
  name: string;
  right: TokenRight;
  /** Calendar date, the last on which it opens. */
  endsOn: string;
  createdAt: string;
  lastUsedAt: string | null;
  /** Ended, or past its last day. */
  isOver: boolean;
}

export interface NewTokenView extends TokenView {
  /** The token itself; only in the answer to its making. */
  token: string;
}
