/** The notes of a label as a list: said once each, in the order in which they were said. */
export function labelNotesIn(text: string): string[] {
  const notes = text
    .split(/[,;\n]/)
    .map((note) => note.trim().replace(/\s+/g, ' '))
    .filter((note) => note !== '');
  return notes.filter(
    (note, index) => notes.findIndex((other) => other.toLowerCase() === note.toLowerCase()) === index,
  );
}

/** The list as it is read and kept: `plum, cocoa nib`. */
export function labelNotesText(notes: readonly string[]): string {
  return notes.join(', ');
}
