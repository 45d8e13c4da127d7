/** What people call a span of settings of one grinder, as "medium-fine". */
export interface GrinderWord {
  word: string;
  fromSetting: number;
  toSetting: number;
}

/** What a setting is called on its grinder; the narrower span where two hold it, `null` where none does. */
export function grinderWord(words: readonly GrinderWord[], setting: number): string | null {
  const holding = words.filter(
    ({ fromSetting, toSetting }) => setting >= fromSetting && setting <= toSetting,
  );
  const width = ({ fromSetting, toSetting }: GrinderWord) => toSetting - fromSetting;
  return holding.sort((a, b) => width(a) - width(b))[0]?.word ?? null;
}
