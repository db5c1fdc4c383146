/** What a browser calls itself, in words: `Firefox on Linux`. */
import Bowser from 'bowser';

export function deviceWords(agent: string): string {
  const { browser, os } = agent.trim() === '' ? { browser: {}, os: {} } : Bowser.parse(agent);
  if (browser.name && os.name) return `${browser.name} on ${os.name}`;
  return agent.trim().slice(0, 60) || 'a browser that does not say what it is';
}
