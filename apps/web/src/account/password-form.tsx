/** A new password; every other session ends with the old one. */
import { changePasswordSchema } from '@gambito/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { toast } from '../ui/toast';
import type { z } from 'zod';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { FormField } from '../ui/form-field';

type Passwords = z.infer<typeof changePasswordSchema>;

export function PasswordForm() {
  const form = useForm<Passwords>({ resolver: zodResolver(changePasswordSchema), defaultValues: { before: '', after: '' } });
  const save = useMutation({
    mutationFn: (body: Passwords) => api('/me/password', { method: 'PUT', body }),
    onSuccess: () => {
      form.reset();
      toast('The password is changed. Everybody else who was signed in with the old one is signed out.');
    },
    onError: (failure) => form.setError('before', { message: messageOf(failure) }),
  });
  return (
    <form noValidate onSubmit={(event) => void form.handleSubmit((values) => save.mutate(values))(event)} className="flex flex-col gap-3">
      <h2 className="text-lg">Password</h2>
      <FormField form={form} name="before" label="Present password" type="password" autoComplete="current-password" />
      <FormField form={form} name="after" label="New password" type="password" autoComplete="new-password" hint="At least 10 characters." />
      <div>
        <Button type="submit" look="main" disabled={save.isPending}>
          Change the password
        </Button>
      </div>
    </form>
  );
}
