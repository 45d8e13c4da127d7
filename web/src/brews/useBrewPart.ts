import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { BrewView } from '@vendu/contract';
import { useShortcut } from '../ui/useShortcut';
import { partDue, partsOf, type BrewPart } from './brewPart';

/** The part in hand: what the address names, else what was due when the page was opened. Each has a key. */
export function useBrewPart(brew: BrewView): { part: BrewPart; go: (to: BrewPart) => void } {
  const { hash } = useLocation();
  const navigate = useNavigate();
  // Decided once: the page must not turn under a hand that enters the last reading.
  const [due] = useState(() => partDue(brew));
  const parts = partsOf(brew);
  const part = parts.find((each) => `#${each}` === hash) ?? due;
  function go(to: BrewPart) {
    // What is being entered is saved when its field is left; a field that vanishes is never left.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    void navigate({ hash: to }, { replace: true });
  }
  useShortcut('m', () => go('measure'));
  // Once more, and it leads to the cup itself.
  useShortcut('t', () => (part === 'taste' ? void navigate(`/brews/${brew.id}/taste`) : go('taste')));
  useShortcut('c', parts.includes('cups') ? () => go('cups') : null);
  useShortcut('r', () => go('record'));
  return { part, go };
}
