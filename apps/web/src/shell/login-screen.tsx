/** The door: sign in; on a fresh database, set up the coach; in the demo, one button. */
import { signInSchema } from '@gambito/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Navigate } from 'react-router';
import type { z } from 'zod';
import { useMe } from '../api/queries';
import { Button } from '../ui/button';
import { FormField } from '../ui/form-field';
import { Failed, Loading } from '../ui/states';
import { Door } from './door';
import { ForgottenForm } from './forgotten-form';
import { NewCoachForm } from './new-coach-form';
import { useEntering, type Entering } from './use-entering';

export function LoginScreen() {
  const { data: me, error, refetch } = useMe();
  const entering = useEntering();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!me) return <Loading />;
  if (me.signedIn) return <Navigate to="/" replace />;
  return (
    <Door problem={entering.problem}>
      {me.demo ? (
        <DemoDoor entering={entering} />
      ) : me.setUp ? (
        <SignInForm entering={entering} />
      ) : (
        // nobody is set up yet: whoever comes first is the coach
        <NewCoachForm title="Set up your desk" busy={entering.busy} enter={(body) => void entering.enter('/set-up', body)} />
      )}
    </Door>
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

function SignInForm({ entering: { enter, busy } }: { entering: Entering }) {
  const [forgot, setForgot] = useState(false);
  const form = useForm<z.infer<typeof signInSchema>>({ resolver: zodResolver(signInSchema), defaultValues: { email: '', password: '' } });
  if (forgot) return <ForgottenForm back={() => setForgot(false)} />;
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void form.handleSubmit((values) => enter('/login', values))(event)}>
      <h2 className="text-xl">Sign in</h2>
      <FormField form={form} name="email" label="E-mail" type="email" autoComplete="username" />
      <FormField form={form} name="password" label="Password" type="password" autoComplete="current-password" />
      <Button look="main" type="submit" disabled={busy}>
        Sign in
      </Button>
      <Button look="bare" onClick={() => setForgot(true)}>
        Forgot the password?
      </Button>
    </form>
  );
}
