import { choice, fields, guarded, list, nullable, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import { FINDINGS } from './findings.js';
import { LEVERS } from './levers.js';
import * as changes from './proposeChange.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link changes.proposeChange} */
export const proposeChange = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    calibration: shapes.CALIBRATION,
    targets: shapes.TARGETS,
    limits: shapes.LIMITS,
    last: optional(nullable(shapes.LAST_BREW)),
    findings: optional(list(choice(FINDINGS))),
    schools: optional(shapes.SCHOOLS_TAKEN),
    levers: optional(list(choice(LEVERS))),
    ruleRecords: optional(list(fields({ ruleId: 'text', came: 'number', missed: 'number' }))),
    roastAgeDays: optional('number'),
  }),
  changes.proposeChange,
);
