/** A forgotten password: a link to a new one goes out, whether or not anybody signs in so; nobody is told which. */
import { forgottenSchema } from '@gambito/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { FormField } from '../ui/form-field';

type Forgotten = z.infer<typeof forgottenSchema>;

export function ForgottenForm({ back }: { back: () => void }) {
  const form = useForm<Forgotten>({ resolver: zodResolver(forgottenSchema), defaultValues: { email: '' } });
  const ask = useMutation({
    mutationFn: (body: Forgotten) => api('/forgotten', { body }),
    onError: (failure) => form.setError('email', { message: messageOf(failure) }),
  });
  if (ask.isSuccess)
    return (
      <div className="flex flex-col gap-3" role="status">
        <p>
          If somebody signs in with that address, a link to a new password is on its way. It lasts an hour. Here messages go into the outbox of whoever set
          Gambito up: ask them for it.
        </p>
        <p className="text-sm text-soft">
          You set it up yourself? On its machine, <code className="whitespace-nowrap">npm run password -- E-MAIL</code> gives you a link.
        </p>
        <div>
          <Button onClick={back}>Back to signing in</Button>
        </div>
      </div>
    );
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void form.handleSubmit((values) => ask.mutate(values))(event)}>
      <h2 className="text-xl">A new password</h2>
      <FormField form={form} name="email" label="E-mail you sign in with" type="email" autoComplete="username" />
      <div className="flex gap-2">
        <Button look="main" type="submit" disabled={ask.isPending}>
          Send me a link
        </Button>
        <Button onClick={back}>Back</Button>
      </div>
    </form>
  );
}
