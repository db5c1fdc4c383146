/** What a browser calls itself, in words: `Firefox on Linux`. */
const browsers: readonly (readonly [RegExp, string])[] = [
  [/Edg\//, 'Edge'],
  [/OPR\//, 'Opera'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\/|CriOS\//, 'Chrome'],
  [/Safari\//, 'Safari'],
];
const systems: readonly (readonly [RegExp, string])[] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'macOS'],
  [/Linux|X11/, 'Linux'],
];
const first = (table: typeof browsers, text: string): string | null => table.find(([pattern]) => pattern.test(text))?.[1] ?? null;

export function deviceWords(agent: string): string {
  const [browser, system] = [first(browsers, agent), first(systems, agent)];
  if (browser && system) return `${browser} on ${system}`;
  return browser ?? system ?? (agent.trim().slice(0, 60) || 'a browser that does not say what it is');
}
