/** The door: sign in; on a fresh database, set up the coach; in the demo, one button. */
import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Navigate, useNavigate } from 'react-router';
import { api, messageOf } from '../api/client';
import { useMe } from '../api/queries';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';
import { Failed, Loading } from '../ui/states';

interface Entering {
  readonly enter: (path: string, body: unknown) => Promise<void>;
  readonly busy: boolean;
  readonly problem: string | null;
}

/** Opens a session and the desk; what is wrong is told where it was typed. */
function useEntering(): Entering {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
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
  return { enter, busy, problem };
}

export function LoginScreen() {
  const { data: me, error, refetch } = useMe();
  const entering = useEntering();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!me) return <Loading />;
  if (me.signedIn) return <Navigate to="/" replace />;
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-6 px-6">
      <div>
        <img src="/lantern.svg" alt="" width={44} height={44} />
        <h1 className="mt-3 text-3xl">Gambito</h1>
        <p className="mt-1 text-soft">One workout, a version for every athlete’s equipment, and scores that compare.</p>
      </div>
      {me.demo ? <DemoDoor entering={entering} /> : <CoachDoor entering={entering} fresh={!me.setUp} />}
      {entering.problem && (
        <p role="alert" className="text-bad">
          {entering.problem}
        </p>
      )}
    </main>
  );
}

function DemoDoor({ entering: { enter, busy } }: { entering: Entering }) {
  return (
    <div className="border-l-4 border-amber pl-4">
      <p className="mb-2 text-sm">This is the demo: an invented archipelago, the Lanterns, with fourteen made-up athletes.</p>
      <Button look="main" onClick={() => void enter('/demo-login', null)} disabled={busy}>
        Open the demo desk
      </Button>
    </div>
  );
}

/** @param fresh nobody is set up yet: whoever comes first is the coach */
function CoachDoor({ entering: { enter, busy }, fresh }: { entering: Entering; fresh: boolean }) {
  const [form, setForm] = useState({ name: '', email: '', password: '' });
  const { email, password } = form;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
    void (fresh ? enter('/set-up', { ...form, timeZone, units: 'kg' }) : enter('/login', { email, password }));
  };
  const bind = (key: keyof typeof form) => ({
    className: inputLook,
    value: form[key],
    required: true,
    onChange: (event: { target: { value: string } }) => setForm({ ...form, [key]: event.target.value }),
  });
  return (
    <form className="flex flex-col gap-3" onSubmit={submit}>
      <h2 className="text-xl">{fresh ? 'Set up your desk' : 'Sign in'}</h2>
      {fresh && <Field label="Name">{(props) => <input {...props} {...bind('name')} autoComplete="name" />}</Field>}
      <Field label="E-mail">{(props) => <input {...props} {...bind('email')} type="email" autoComplete="username" />}</Field>
      <Field label="Password" hint={fresh ? 'At least 10 characters' : undefined}>
        {(props) => (
          <input
            {...props}
            {...bind('password')}
            type="password"
            autoComplete={fresh ? 'new-password' : 'current-password'}
            minLength={fresh ? 10 : undefined}
          />
        )}
      </Field>
      <Button look="main" type="submit" disabled={busy}>
        {fresh ? 'Start' : 'Sign in'}
      </Button>
    </form>
  );
}
