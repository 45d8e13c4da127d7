import Bowser from 'bowser';

const LONGEST = 120;

/** What somebody signs in on, as he knows it: `Firefox on Linux`. Told by the browser, and no more than a help to the eye. */
export function deviceWords(userAgent: string | undefined): string {
  if (!userAgent) return 'a program';
  const { browser, os } = Bowser.parse(userAgent);
  const words = [browser.name ?? 'a program', ...(os.name ? [`on ${os.name}`] : [])].join(' ');
  return words.slice(0, LONGEST);
}
