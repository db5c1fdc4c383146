/**
 * What is said beside the work, and must not become work: how a score is told, what is aimed at, conditions (`if that is too much, cut it to 10`), what stands in for what (`no rower? run`).
 * It is taken out as a whole and told as it was written, so that no figure of it finds a place by chance.
 */

const patterns: readonly RegExp[] = [
  // a line of its own, or a sentence
  /(?<=^|[.;] )(?:(?:your |\d+ )?scores?|goal|target|aim|tempo|record|tip|reminder)\b(?: is| are|:| ?=)(?:(?!\bcap\b)[^.;])*/g,
  /(?<=^|[.;,] )(?:in|on|for) the last (?:set|round)\b[^.;]*/g,
  /(?<=^|[.;] )(?:i want|scale|swap)\b[^.;]*/g,
  /(?<=^|[ (,.;])if\b(?! (?:needed|possible|you can)\b)[^.;()]*(?:[.;](?=\s|$))?/g,
  /\((?:no|without|if|scale|scaling|scaled|sub|subs|or|instead|not|\d+ (?:per|each|a|on each) (?:leg|side|arm)|\d+ attempts?)\b[^()]*\)/g,
  /\([^()]*\?[^()]*\)/g,
];

export interface WithoutAsides {
  readonly lines: readonly string[];
  readonly aside: readonly string[];
}
/** @param lines as `normalLines` gives them */
export function withoutAsides(lines: readonly string[]): WithoutAsides {
  const aside: string[] = [];
  const kept = lines.map((line) =>
    patterns
      .reduce(
        (left, pattern) =>
          left.replace(pattern, (found) => {
            aside.push(found.replace(/^[\s(]+|[\s).;]+$/g, ''));
            return ' , ';
          }),
        line,
      )
      .trim(),
  );
  return { lines: kept, aside: aside.filter((each) => each !== '') };
}
