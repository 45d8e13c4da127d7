/** What an import has to know of a table that its columns do not say. Every table that leaves has a rule; a test sees to it. */
export interface TableRule {
  /** As the trade says it, many of them. */
  words: string;
  /** What tells its rows apart where their numbers do not. */
  key: readonly string[];
  /** Follows from other records, and is computed afresh. */
  derived?: readonly string[];
  /** Where these differ it is another thing, and what hangs on it is held back. */
  bearing?: readonly string[];
  /** Columns that name a row of another table without the database knowing it. */
  named?: Readonly<Record<string, string>>;
  /** What it is called; else as the thing it belongs to. */
  title?: (row: Readonly<Record<string, string | null>>, of: string) => string;
}

const byName: Pick<TableRule, 'key' | 'title'> = { key: ['name'], title: ({ name }) => name ?? '' };

const dayOf = (moment: string | null | undefined): string => moment?.slice(0, 10) ?? '';

/** In the order in which a report tells them: what the work is about first, what it is done with last. */
export const TABLE_RULES: Readonly<Record<string, TableRule>> = {
  lots: {
    words: 'lots',
    key: ['name', 'created_at'],
    derived: [
      'stage',
      'brew_count',
      'brewed_g',
      'left_g',
      'last_brewed_at',
      'latest_roasted_on',
      'evidence',
      'evidence_model',
      'proof_missing',
      'recheck_on',
      'watch_alarms',
      'watch_state',
    ],
    title: ({ name }) => name ?? '',
  },
  roast_batches: {
    words: 'roast batches',
    key: ['lot_id', 'created_at', 'roasted_on'],
    title: ({ roasted_on }, lot) => `${lot}, roasted ${roasted_on}`,
  },
  stock_weighings: { words: 'weighings of stock', key: ['lot_id', 'created_at'] },
  recipes: { words: 'recipes', key: ['lot_id', 'created_at', 'brewer_id'], bearing: ['brewer_id'] },
  recipe_versions: {
    words: 'versions',
    key: ['recipe_id', 'number'],
    bearing: ['plan'],
    title: ({ number }, lot) => `${lot}, version ${number}`,
  },
  version_signatures: { words: 'signatures', key: ['recipe_version_id', 'person_id'] },
  proof_waivers: { words: 'waivers', key: ['recipe_version_id', 'check_id'] },
  publications: {
    words: 'publications',
    key: ['recipe_version_id', 'created_at'],
    title: ({ created_at }, version) => `${version}, published ${dayOf(created_at)}`,
  },
  home_results: { words: 'results from home', key: ['client_key'] },
  changes: {
    words: 'changes',
    key: ['recipe_version_id'],
    derived: [
      'before_brew_id',
      'after_brew_id',
      'seen',
      'figures_told',
      'figures_came',
      'hopes_told',
      'hopes_came',
    ],
    named: { before_brew_id: 'brews', after_brew_id: 'brews' },
  },
  brews: {
    words: 'brews',
    key: ['client_key'],
    title: ({ started_at }, version) => `${version}, brewed ${dayOf(started_at)}`,
  },
  readings: { words: 'readings', key: ['brew_id', 'created_at'] },
  corrections: { words: 'corrections', key: ['brew_id', 'created_at', 'field'] },
  fractions: { words: 'cups of split brews', key: ['brew_id', 'place'] },
  tastings: { words: 'tasting sheets', key: ['brew_id', 'tasted_by', 'stage'] },
  tasting_looks: { words: 'looks at sheets', key: ['brew_id', 'person_id'] },
  comparisons: {
    words: 'comparisons',
    key: ['question', 'created_at'],
    title: ({ question }) => question ?? '',
  },
  comparison_arms: {
    words: 'arms of comparisons',
    key: ['comparison_id', 'place'],
    bearing: ['recipe_version_id'],
  },
  comparison_brews: { words: 'brews of arms', key: ['comparison_arm_id', 'brew_id'] },
  blind_tests: { words: 'blind tests', key: ['comparison_id', 'created_at'], bearing: ['method', 'arms'] },
  blind_places: { words: 'sets of coded cups', key: ['blind_test_id', 'number'], bearing: ['cups'] },
  blind_answers: { words: 'blind answers', key: ['blind_place_id', 'stage'] },
  people: { words: 'people', ...byName },
  papers: { words: 'papers', ...byName },
  brewers: { words: 'brewers', ...byName },
  grinders: {
    words: 'grinders',
    key: ['name', 'burr_set'],
    title: ({ name, burr_set }) => `${name}, ${burr_set}`,
  },
  waters: { words: 'waters', ...byName },
  kettles: { words: 'kettles', ...byName },
  feeders: { words: 'regulators and shower plates', ...byName },
  sieves: { words: 'sieves', ...byName },
  instruments: { words: 'instruments', ...byName },
  stated_settings: { words: 'settings told by others', key: ['grinder_id', 'created_at'] },
  zero_checks: { words: 'zero checks', key: ['instrument_id', 'created_at'] },
  handover_notes: { words: 'handover notes', key: ['created_at'], title: ({ text }) => text ?? '' },
  practice_runs: { words: 'practice pours', key: ['client_key'] },
};

/** Never compared: they say when a row was made and touched, and not what it holds. */
export const NOT_COMPARED: readonly string[] = ['id', 'created_at', 'updated_at', 'revision'];
/** The lab itself is one row, and taken whole. Who changed what in another lab stays in its file: nothing here came of it. */
export const NOT_ROW_BY_ROW: readonly string[] = ['house', 'edits'];
