import { asWord } from '../text/asWord.js';
import { saidIn } from '../text/saidIn.js';
import type { TastingStage } from '../vocabulary.js';
import { notesIn, type NoteFamily } from './lexicon.js';
import type { SheetOf } from './sheet.js';

export interface FoundBy {
  by: string;
  stage: TastingStage;
}

/** A note of the label in the cup: said in its own word, or only something of its family, or not at all. */
export interface LabelNoteMatch {
  note: string;
  how: 'found' | 'near' | 'not-found';
  /** What was said instead, where only its family was found. */
  instead: string[];
  by: FoundBy[];
}

export interface LabelMatch {
  notes: LabelNoteMatch[];
  /** Said by somebody, and of no family that the label names. */
  besides: { word: string; by: FoundBy[] }[];
}

/** What nobody promises on a label: how it feels, and what should not be there. */
const NOT_PROMISED: readonly NoteFamily[] = ['feel', 'workshop'];

/** Lays what the label promises beside what tasters wrote of nose and mouth. */
export function labelMatch({
  labelNotes,
  sheets,
}: {
  labelNotes: readonly string[];
  sheets: readonly SheetOf[];
}): LabelMatch {
  const said = sheets.map((sheet) => {
    const text = [sheet.notes, ...Object.values(sheet.aromas)].join(', ');
    return { by: { by: sheet.by, stage: sheet.stage }, text, words: notesIn(text) };
  });
  const families = new Set(labelNotes.flatMap((note) => notesIn(note).map(({ family }) => family)));
  const besides = new Map<string, FoundBy[]>();
  for (const { by, words } of said) {
    for (const { word, family } of words) {
      if (families.has(family) || NOT_PROMISED.includes(family)) continue;
      besides.set(word, [...(besides.get(word) ?? []), by]);
    }
  }
  return {
    notes: labelNotes.map((note) => noteMatch(note, said)),
    besides: [...besides].map(([word, by]) => ({ word, by })).sort((a, b) => b.by.length - a.by.length),
  };
}

function noteMatch(
  note: string,
  said: readonly { by: FoundBy; text: string; words: ReturnType<typeof notesIn> }[],
): LabelNoteMatch {
  const itself = said.filter(({ text }) => saidIn(text, asWord(note)) !== null);
  if (itself.length > 0) return { note, how: 'found', instead: [], by: itself.map(({ by }) => by) };
  const families = new Set(notesIn(note).map(({ family }) => family));
  const near = said.flatMap(({ by, words }) =>
    words.filter(({ family }) => families.has(family)).map(({ word }) => ({ by, word })),
  );
  return {
    note,
    how: near.length > 0 ? 'near' : 'not-found',
    instead: [...new Set(near.map(({ word }) => word))],
    by: near.map(({ by }) => by),
  };
}
