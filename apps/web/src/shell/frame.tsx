/** The coach's frame: places to go, the demo note, day and night. */
import { LogOut } from 'lucide-react';
import { useQueryClient } from '@tanstack/react-query';
import { Suspense, type ReactNode } from 'react';
import { NavLink, Outlet, useNavigate } from 'react-router';
import { api } from '../api/client';
import { useMe } from '../api/queries';
import { ThemeButton } from '../ui/theme-button';
import { justDone } from '../ui/toast';
import { JustDone } from './just-done';
import { part } from '../ui/part';

const Palette = part('the list of places', async () => (await import('./palette')).Palette);

const places = [
  ['/', 'Desk'],
  ['/week', 'Week'],
  ['/workouts', 'Workouts'],
  ['/people', 'People'],
  ['/rules', 'House rules'],
] as const;

export function Frame() {
  const { data: me } = useMe();
  const client = useQueryClient();
  const navigate = useNavigate();
  const leave = async (): Promise<void> => {
    await api('/logout', { method: 'POST' });
    client.clear();
    justDone.forget();
    await navigate('/login');
  };
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        To the content
      </a>
      <header className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-line bg-sheet px-5 py-1.5">
        <NavLink to="/" className="flex items-center gap-2 font-serif text-lg font-semibold">
          <img src="/lantern.svg" alt="" width={22} height={22} />
          Gambito
        </NavLink>
        <nav aria-label="Main" className="flex gap-1">
          {places.map(([to, label]) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) => `rounded px-2.5 py-1.5 text-sm ${isActive ? 'bg-wash font-semibold' : 'hover:bg-wash'}`}
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-2 text-sm">
          {me?.demo && <span className="rounded-full border border-line px-2.5 py-0.5 text-xs text-soft">Demo: the Lanterns, all made up</span>}
          {me?.coach && (
            <NavLink to="/account" className={({ isActive }) => `rounded px-2 py-1.5 ${isActive ? 'bg-wash font-semibold' : 'text-soft hover:bg-wash'}`}>
              {me.coach.name}
            </NavLink>
          )}
          <JustDone />
          <ThemeButton />
          <button type="button" onClick={() => void leave()} className="rounded p-2 hover:bg-wash" aria-label="Sign out">
            <LogOut size={17} />
          </button>
        </div>
      </header>
      <Suspense fallback={null}>
        <Palette />
      </Suspense>
      <main id="main" className="flex flex-1 flex-col">
        <Outlet />
      </main>
    </div>
  );
}

/** A page with a heading and its actions. */
export function Page({ title, aside, children, wide = false }: { title: ReactNode; aside?: ReactNode; children: ReactNode; wide?: boolean }) {
  return (
    <div className={`mx-auto w-full px-5 py-4 ${wide ? '' : 'max-w-6xl'}`}>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="text-2xl">{title}</h1>
        <div className="ml-auto flex flex-wrap items-center gap-2">{aside}</div>
      </div>
      {children}
    </div>
  );
}
