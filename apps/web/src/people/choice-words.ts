/** How a choice is written on the screen, where the file's word for it is shorter than a reader needs. */
const words: Readonly<Record<string, string>> = {
  women: 'women’s',
  men: 'men’s',
  new: 'beginner',
  newer: 'some experience',
};
/** @param value as it stands in the athlete's file, such as `newer` */
export const choiceWords = (value: string): string => words[value] ?? value.replaceAll('_', ' ');
