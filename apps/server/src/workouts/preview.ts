/** letters of a text that a list shows of it */
export const previewed = 300;

/** Its lines below the title, one after the other. */
export const previewOf = (head: string): string =>
  head
    .replace(/^#.*\n/, '')
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .join(' · ');
