/** A function of words that is asked the same again and again (a text is read at every key): its answers are kept, so many at most. */
export function remembered<Answer>(answer: (text: string) => Answer, most = 4_000): (text: string) => Answer {
  const known = new Map<string, Answer>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined || known.has(text)) return before as Answer;
    if (known.size >= most) known.clear();
    const fresh = answer(text);
    known.set(text, fresh);
    return fresh;
  };
}
