import { createHash } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { MIGRATIONS } from './index.js';

/** Of the statements of each step that databases may have run already; a new step adds its own when it lands. */
const LANDED = {
  '0001-first-tables': 'e1d480164017272c',
  '0002-kit-and-lots': 'bc28ddbf22f27bef',
  '0003-recipe-kit-and-search': '491fc4bff93067ab',
  '0004-bench': 'c8f247f0270611e7',
  '0005-instruments': '27651d6c8efd76c9',
  '0006-safe-ground': '6b8b1cb2efabddb2',
  '0007-outflow': '7a88317c212d5c85',
  '0008-evidence-model': '45fb65ce41949698',
  '0009-how-kit-is-built': '4fff1f06ff4020f8',
  '0010-brew-log': 'e012c09ce2818c50',
  '0011-green-figures': 'b70a08245d31baaf',
  '0012-water-activity': 'b2f3cbf00e97172a',
  '0013-elevation-word': '7c208823ba43c7a6',
  '0014-fines': '376171cbb915450e',
  '0015-base-process': '4104ed3a470f0ad9',
  '0016-green-by-eye': '9c2d6719374cb670',
  '0017-kit-in-full': '804dac853df15084',
  '0018-done-besides': '5e99b75f55b08479',
  '0019-paper-seating': '267f70bba6e39e85',
  '0020-changes': '754551b8b036c740',
  '0021-room-for-label-notes': 'fd38659e868e8169',
  '0022-tasting-sheets': '9cbf559220af357e',
  '0023-proof': '52f28552954a32ce',
  '0024-home-results': '92a2ce37540dc4f7',
  '0025-proof-missing': '93d6af3f3a3f8ac6',
  '0026-editions': 'c3910330a866d677',
  '0027-watch': '42d9dcdba1afcd47',
  '0028-handover': '7c1e55067e99d83f',
  '0029-calendars': '91fe9599a71253d3',
  '0030-reports': '0224b2d8550c2206',
  '0031-tokens': '9f8211a27b8594d2',
  '0032-webhooks': 'aecb5c2481008eae',
  '0033-imports': '0275f19683bf2666',
  '0034-age-note': '5a1b16bdc43e33af',
  '0035-people': 'fb852385bc19b3a0',
  '0036-comparisons': '96b4ead988a3b08e',
  '0037-sessions-of-people': '5422fda06c135bb3',
  '0038-edits': '3f17cb16935e9081',
  '0039-hours-of-people': 'fd454bf3e03c4553',
  '0040-newest-accepted': '768ab258b5fa1967',
  '0041-guest-tasters': '6e12ed7e5b0a48a8',
  '0042-where-pages-look': '8c66fff547e61a2b',
  '0043-admins': '1596ad791c8afe50',
  '0044-attempts': '0a6ad0b3e679a648',
  '0045-second-factors': '2f9e032ae54f1e31',
  '0046-code-rule': '6f4d6ccd51a03002',
};

describe('the steps of the schema', () => {
  it('never change once they have landed: what is new is a new step', () => {
    const now = Object.fromEntries(
      MIGRATIONS.map(({ name, statements }) => [
        name,
        createHash('sha256').update(statements.join(';\n')).digest('hex').slice(0, 16),
      ]),
    );
    expect(now).toMatchObject(LANDED);
    expect(Object.keys(now).slice(0, Object.keys(LANDED).length)).toEqual(Object.keys(LANDED));
  });
});
