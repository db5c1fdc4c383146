/** What is repeated of what somebody typed, in a sentence about it: enough to find it, and no more. */

/** characters of a quotation, or of one word, that a sentence repeats */
export const mostEchoed = 200;

// a quotation ends at the next sign of either kind: each is looked at once, however many there are
const longQuotation = new RegExp(`“([^“”]{${mostEchoed + 1},})(”|$)`, 'gu');
const longWord = new RegExp(`\\S{${2 * mostEchoed},}`, 'gu');
// half a pair of surrogates is no letter
const begun = (text: string): string => `${text.slice(0, mostEchoed).replace(/[\uD800-\uDBFF]$/, '')}…`;

/** `no athlete file for “Tabrik,…(400 000 more)”` → the first 200 characters and `…`. */
export const withoutLongEchoes = (sentence: string): string =>
  sentence.length <= mostEchoed ? sentence : sentence.replace(longQuotation, (_all, inside: string) => `“${begun(inside)}”`).replace(longWord, begun);
