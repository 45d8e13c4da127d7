import { chooseTheme, THEMES, useTheme, type Theme } from './theme';

const WORDS: Record<Theme, string> = { system: 'As the system', light: 'Light', dark: 'Dark' };

/** Light or dark, on this device; by itself it follows the system. */
export function ThemeChoice() {
  const { theme } = useTheme();
  return (
    <select
      aria-label="Light or dark"
      className="h-9 rounded-edge border border-transparent bg-transparent px-1 text-small text-quiet hover:border-edge hover:text-ink"
      value={theme}
      onChange={(event) => chooseTheme(event.target.value as Theme)}
    >
      {THEMES.map((each) => (
        <option key={each} value={each}>
          {WORDS[each]}
        </option>
      ))}
    </select>
  );
}
