import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Navigate, useNavigate } from 'react-router';
import { api, messageOf } from '../api/client';
import { useMe } from '../api/queries';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';
import { Failed, Loading } from '../ui/states';

/** Sign in; on a fresh database, set up the coach; in the demo, one button. */
export function LoginScreen() {
  const { data: me, error, refetch } = useMe();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [form, setForm] = useState({ name: '', email: '', password: '' });
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!me) return <Loading />;
  if (me.signedIn) return <Navigate to="/" replace />;
  const fresh = !me.setUp;
  const enter = async (path: string, body: unknown): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      await api(path, { method: 'POST', ...(body ? { body } : {}) });
      await client.invalidateQueries({ queryKey: ['me'] });
      await navigate('/');
    } catch (failure) {
      setProblem(messageOf(failure));
    } finally {
      setBusy(false);
    }
  };
  const set = (key: keyof typeof form) => (event: React.ChangeEvent<HTMLInputElement>) => setForm({ ...form, [key]: event.target.value });
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-6 px-6">
      <div>
        <img src="/lantern.svg" alt="" width={44} height={44} />
        <h1 className="mt-3 text-3xl">Gambito</h1>
        <p className="mt-1 text-soft">One workout, a version for every athlete’s equipment, and scores that compare.</p>
      </div>
      {me.demo && (
        <div className="border-l-4 border-amber pl-4">
          <p className="mb-2 text-sm">This is the demo: an invented archipelago, the Lanterns, with fourteen made-up athletes.</p>
          <Button look="main" onClick={() => void enter('/demo-login', null)} disabled={busy}>
            Open the demo desk
          </Button>
        </div>
      )}
      {!me.demo && (
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void enter(
              fresh ? '/set-up' : '/login',
              fresh
                ? { ...form, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC', units: 'kg' }
                : { email: form.email, password: form.password },
            );
          }}
        >
          <h2 className="text-xl">{fresh ? 'Set up your desk' : 'Sign in'}</h2>
          {fresh && (
            <Field label="Name">
              {(props) => <input {...props} className={inputLook} value={form.name} onChange={set('name')} autoComplete="name" required />}
            </Field>
          )}
          <Field label="E-mail">
            {(props) => <input {...props} className={inputLook} type="email" value={form.email} onChange={set('email')} autoComplete="username" required />}
          </Field>
          <Field label="Password" hint={fresh ? 'At least 10 characters' : undefined}>
            {(props) => (
              <input
                {...props}
                className={inputLook}
                type="password"
                value={form.password}
                onChange={set('password')}
                autoComplete={fresh ? 'new-password' : 'current-password'}
                minLength={fresh ? 10 : undefined}
                required
              />
            )}
          </Field>
          <Button look="main" type="submit" disabled={busy}>
            {fresh ? 'Start' : 'Sign in'}
          </Button>
        </form>
      )}
      {problem && (
        <p role="alert" className="text-bad">
          {problem}
        </p>
      )}
    </main>
  );
}
