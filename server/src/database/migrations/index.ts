import type { Migration } from './migration.js';
import { secondFactors } from './0045-second-factors.js';
import { codeRule } from './0046-code-rule.js';
import { attempts } from './0044-attempts.js';
import { admins } from './0043-admins.js';
import { edits } from './0038-edits.js';
import { wherePagesLook } from './0042-where-pages-look.js';
import { guestTasters } from './0041-guest-tasters.js';
import { hoursOfPeople } from './0039-hours-of-people.js';
import { newestAccepted } from './0040-newest-accepted.js';
import { sessionsOfPeople } from './0037-sessions-of-people.js';
import { baseProcess } from './0015-base-process.js';
import { brewLog } from './0010-brew-log.js';
import { kitAndLots } from './0002-kit-and-lots.js';
import { bench } from './0004-bench.js';
import { instruments } from './0005-instruments.js';
import { recipeKitAndSearch } from './0003-recipe-kit-and-search.js';
import { evidenceModel } from './0008-evidence-model.js';
import { greenFigures } from './0011-green-figures.js';
import { waterActivity } from './0012-water-activity.js';
import { elevationWord } from './0013-elevation-word.js';
import { fines } from './0014-fines.js';
import { greenByEye } from './0016-green-by-eye.js';
import { calendars } from './0029-calendars.js';
import { reports } from './0030-reports.js';
import { tokens } from './0031-tokens.js';
import { webhooks } from './0032-webhooks.js';
import { imports } from './0033-imports.js';
import { ageNote } from './0034-age-note.js';
import { people } from './0035-people.js';
import { comparisons } from './0036-comparisons.js';
import { handover } from './0028-handover.js';
import { watch } from './0027-watch.js';
import { editions } from './0026-editions.js';
import { proofMissing } from './0025-proof-missing.js';
import { homeResults } from './0024-home-results.js';
import { proof } from './0023-proof.js';
import { tastingSheets } from './0022-tasting-sheets.js';
import { roomForLabelNotes } from './0021-room-for-label-notes.js';
import { changes } from './0020-changes.js';
import { paperSeating } from './0019-paper-seating.js';
import { doneBesides } from './0018-done-besides.js';
import { kitInFull } from './0017-kit-in-full.js';
import { howKitIsBuilt } from './0009-how-kit-is-built.js';
import { outflow } from './0007-outflow.js';
import { safeGround } from './0006-safe-ground.js';
import { firstTables } from './0001-first-tables.js';

/** All steps in order. */
export const MIGRATIONS: readonly Migration[] = [
  firstTables,
  kitAndLots,
  recipeKitAndSearch,
  bench,
  instruments,
  safeGround,
  outflow,
  evidenceModel,
  howKitIsBuilt,
  brewLog,
  greenFigures,
  waterActivity,
  elevationWord,
  fines,
  baseProcess,
  greenByEye,
  kitInFull,
  doneBesides,
  paperSeating,
  changes,
  roomForLabelNotes,
  tastingSheets,
  proof,
  homeResults,
  proofMissing,
  editions,
  watch,
  handover,
  calendars,
  reports,
  tokens,
  webhooks,
  imports,
  ageNote,
  people,
  comparisons,
  sessionsOfPeople,
  edits,
  hoursOfPeople,
  newestAccepted,
  guestTasters,
  wherePagesLook,
  admins,
  attempts,
  secondFactors,
  codeRule,
];
