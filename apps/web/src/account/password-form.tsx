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
      <Field label="Present password">
        {(props) => (
          <input
            {...props}
            type="password"
            autoComplete="current-password"
            className={inputLook}
            value={before}
            onChange={(event) => setBefore(event.target.value)}
          />
        )}
      </Field>
      <Field label="New password" hint={`At least ${least} characters.`} problem={problem}>
        {(props) => (
          <input
            {...props}
            type="password"
            autoComplete="new-password"
            className={inputLook}
            value={after}
            onChange={(event) => setAfter(event.target.value)}
          />
        )}
      </Field>
      <div>
        <Button type="submit" look="main" disabled={save.isPending || before === '' || after === ''}>
          Change the password
        </Button>
      </div>
    </form>
  );
}
