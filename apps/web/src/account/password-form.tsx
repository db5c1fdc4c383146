/** A new password; every other session ends with the old one. */
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';

const least = 10;

export function PasswordForm() {
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const save = useMutation({
    mutationFn: () => api('/me/password', { method: 'PUT', body: { before, after } }),
    onSuccess: () => {
      setBefore('');
      setAfter('');
      toast('The password is changed. Everybody else who was signed in with the old one is signed out.');
    },
    onError: (failure) => setProblem(messageOf(failure)),
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    setProblem(after.length < least ? `Expected at least ${least} characters.` : null);
    if (after.length >= least) save.mutate();
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-3">
      <h2 className="text-lg">Password</h2>
      <PasswordField label="Present password" autoComplete="current-password" value={before} change={setBefore} />
      <PasswordField
        label="New password"
        autoComplete="new-password"
        value={after}
        change={setAfter}
        hint={`At least ${least} characters.`}
        problem={problem}
      />
      <div>
        <Button type="submit" look="main" disabled={save.isPending || before === '' || after === ''}>
          Change the password
        </Button>
      </div>
    </form>
  );
}

interface PasswordFieldProps {
  readonly label: string;
  readonly autoComplete: 'current-password' | 'new-password';
  readonly value: string;
  readonly change: (value: string) => void;
  readonly hint?: string;
  readonly problem?: string | null;
}
function PasswordField({ label, autoComplete, value, change, hint, problem = null }: PasswordFieldProps) {
  return (
    <Field label={label} hint={hint} problem={problem}>
      {(props) => (
        <input {...props} type="password" autoComplete={autoComplete} className={inputLook} value={value} onChange={(event) => change(event.target.value)} />
      )}
    </Field>
  );
}
