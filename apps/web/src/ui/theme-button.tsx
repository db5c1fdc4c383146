/** Day and night; what is chosen stays in this browser. */
import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';

export function ThemeButton() {
  const [dark, setDark] = useState(document.documentElement.dataset['theme'] === 'dark');
  const turn = (): void => {
    const next = dark ? 'light' : 'dark';
    document.documentElement.dataset['theme'] = next;
    localStorage.setItem('gambito.theme', next);
    setDark(!dark);
  };
  return (
    <button type="button" onClick={turn} className="rounded p-2 hover:bg-wash" aria-label={dark ? 'Day colours' : 'Night colours'}>
      {dark ? <Sun size={17} /> : <Moon size={17} />}
    </button>
  );
}
