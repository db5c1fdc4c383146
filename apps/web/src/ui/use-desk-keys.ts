/** Keys of a whole screen; a field that is typed in keeps its own. */
import { useEffect, useRef } from 'react';

/** `Control+z`, `?`, `Escape`: the key as the browser names it, in small letters where Control is held */
export type Keys = Readonly<Record<string, (event: KeyboardEvent) => void>>;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (/^(?:TEXTAREA|SELECT)$/.test(target.tagName) || (target instanceof HTMLInputElement && target.type !== 'checkbox') || target.isContentEditable);

function nameOf({ key, ctrlKey, metaKey, shiftKey }: KeyboardEvent): string {
  if (!ctrlKey && !metaKey) return key;
  return `Control+${shiftKey ? 'Shift+' : ''}${key.toLowerCase()}`;
}

export function useDeskKeys(keys: Keys): void {
  const latest = useRef(keys);
  latest.current = keys;
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const act = latest.current[nameOf(event)];
      if (!act || event.defaultPrevented || event.altKey || isTyping(event.target)) return;
      event.preventDefault();
      act(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
