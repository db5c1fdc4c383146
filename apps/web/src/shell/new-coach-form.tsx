/** Name, e-mail and password of a coach who is new here. */
import { newCoachSchema } from '@gambito/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { Button } from '../ui/button';
import { FormField } from '../ui/form-field';

type NewCoach = z.infer<typeof newCoachSchema>;

export function NewCoachForm({ title, busy, enter }: { title: string; busy: boolean; enter: (body: unknown) => void }) {
  const form = useForm<NewCoach>({ resolver: zodResolver(newCoachSchema), defaultValues: { name: '', email: '', password: '' } });
  const submit = form.handleSubmit((values) => enter({ ...values, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC', units: 'kg' }));
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void submit(event)}>
      <h2 className="text-xl">{title}</h2>
      <FormField form={form} name="name" label="Name" autoComplete="name" />
      <FormField form={form} name="email" label="E-mail" type="email" autoComplete="username" />
      <FormField form={form} name="password" label="Password" type="password" hint="At least 10 characters" autoComplete="new-password" />
      <Button look="main" type="submit" disabled={busy}>
        Start
      </Button>
    </form>
  );
}
