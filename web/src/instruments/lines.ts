/** A line longer than this is not one: what came so far is let go. */
const LONGEST = 1000;

/** Puts lines together out of text that comes in pieces. */
export function lineCutter(onLine: (line: string) => void): (text: string) => void {
  let begun = '';
  return (text) => {
    const parts = (begun + text).split(/\r\n|\n|\r/);
    begun = parts.pop() ?? '';
    if (begun.length > LONGEST) begun = '';
    for (const line of parts) if (line.trim() !== '') onLine(line);
  };
}
