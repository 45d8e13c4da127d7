import { blindResult, openAnswer, type OpenedAnswer, type StageResult } from '@vendu/core';
import type { BlindTestView, OpenedPlaceView, PlaceView } from '@vendu/contract';
import { pathOfPlace, type BlindPlaceModel } from './blind-place.model.js';
import { isOver, type BlindTestModel } from './blind-test.model.js';

const codesOf = ({ cups }: BlindPlaceModel) => cups.map(({ code }) => code);

/** Needs `maker`, `opener` and `places` with their `answers` loaded. What it tells before it is opened is no answer. */
export function blindTestView(row: BlindTestModel): BlindTestView {
  const isOpen = row.openedAt !== null;
  return {
    id: row.id,
    method: row.method,
    arms: row.arms,
    asksFor: row.asksFor,
    stages: row.stages,
    alpha: row.alpha,
    made: { by: row.maker.name, at: row.createdAt.toISOString() },
    endsAt: row.endsAt.toISOString(),
    isOver: isOver(row),
    opened: row.openedAt && row.opener ? { by: row.opener.name, at: row.openedAt.toISOString() } : null,
    pouredBy: row.pouredBy,
    looks: row.looks,
    places: row.places.map((place) => ({
      number: place.number,
      path: pathOfPlace(place.secret),
      codes: codesOf(place),
      isTaken: place.device !== null,
      answered: row.stages.filter((stage) => place.answers.some((answer) => answer.stage === stage)),
    })),
    results: isOpen ? resultsOf(row) : null,
    key: isOpen ? row.places.map(openedPlace) : null,
  };
}

function openedPlace({ number, cups, answers }: BlindPlaceModel): OpenedPlaceView {
  return {
    number,
    cups,
    notes: answers.filter(({ note }) => note !== '').map(({ stage, note }) => ({ stage, text: note })),
  };
}

/** Needs `places` with their `answers` loaded. */
function resultsOf(row: BlindTestModel): StageResult[] {
  return blindResult({
    method: row.method,
    arms: row.arms.length,
    alpha: row.alpha,
    answers: row.stages.map((stage) => ({ stage, opened: openedAt(row, stage) })),
    looks:
      row.looks.length === 0
        ? null
        : { planned: row.places.length, looksAt: row.looks.map(({ answers }) => answers) },
  });
}

/** What lists say of an opened test. Needs `places` with their `answers` loaded. */
export function shortResult(row: BlindTestModel): { isFound: boolean; tasterCount: number } {
  return {
    isFound: resultsOf(row).some(({ isFound }) => isFound),
    tasterCount: row.places.filter(({ answers }) => answers.length > 0).length,
  };
}

/** What was said at a stage, read by the key, in the order in which it came. */
export function openedAt({ method, places }: BlindTestModel, stage: string): OpenedAnswer[] {
  return places
    .flatMap(({ cups, answers }) => answers.map((row) => ({ row, cups })))
    .filter(({ row }) => row.stage === stage)
    .sort((a, b) => a.row.id - b.row.id)
    .map(({ row, cups }) => openAnswer(method, cups, row.answer));
}

/** Needs `answers` loaded. */
export function placeView(
  place: BlindPlaceModel,
  test: BlindTestModel,
  additions: readonly string[],
): PlaceView {
  return {
    number: place.number,
    method: test.method,
    asksFor: test.asksFor,
    stages: test.stages,
    answered: test.stages.filter((stage) => place.answers.some((answer) => answer.stage === stage)),
    codes: codesOf(place),
    endsAt: test.endsAt.toISOString(),
    isOver: isOver(test),
    additions: [...additions],
  };
}
