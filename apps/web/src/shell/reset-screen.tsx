/** What a link to a new password opens. */
import { newPasswordSchema } from '@gambito/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useQuery } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { Link, useParams } from 'react-router';
import type { z } from 'zod';
import { api } from '../api/client';
import { Button } from '../ui/button';
import { FormField } from '../ui/form-field';
import { Failed, Loading } from '../ui/states';
import { Door } from './door';
import { useEntering, type Entering } from './use-entering';

export function ResetScreen() {
  const token = useParams()['token']!;
  const { data, error, refetch } = useQuery({ queryKey: ['reset', token], queryFn: () => api<{ open: boolean }>(`/reset/${token}`) });
  const entering = useEntering();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  return (
    <Door problem={entering.problem}>
      {data.open ? (
        <NewPasswordForm token={token} entering={entering} />
      ) : (
        <p>
          This link was used, or ran out. <Link to="/login">Ask for a new one.</Link>
        </p>
      )}
    </Door>
  );
}

function NewPasswordForm({ token, entering: { enter, busy } }: { token: string; entering: Entering }) {
  const form = useForm<z.infer<typeof newPasswordSchema>>({ resolver: zodResolver(newPasswordSchema), defaultValues: { password: '' } });
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void form.handleSubmit((values) => enter(`/reset/${token}`, values))(event)}>
      <h2 className="text-xl">A new password</h2>
      <FormField form={form} name="password" label="New password" type="password" autoComplete="new-password" hint="At least 10 characters." />
      <p className="text-sm text-soft">Whoever is signed in with the old one is signed out.</p>
      <Button look="main" type="submit" disabled={busy}>
        Set it and sign in
      </Button>
    </form>
  );
}
