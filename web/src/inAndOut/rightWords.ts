import type { TokenRight } from '@vendu/contract';

export const RIGHT_WORDS: Record<TokenRight, string> = {
  read: 'read',
  record: 'read, and store brews and all that belongs to them',
};
