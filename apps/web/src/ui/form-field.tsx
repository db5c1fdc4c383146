/** A labelled field of a form that a schema checks. */
import type { ComponentProps } from 'react';
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';
import { Field, inputLook } from './field';

interface Props<Values extends FieldValues> extends Omit<ComponentProps<'input'>, 'form' | 'name'> {
  readonly form: UseFormReturn<Values>;
  readonly name: Path<Values>;
  readonly label: string;
  readonly hint?: string;
}
/** What a schema says begins small and ends open; what the server says is a sentence already. */
const sentence = (message: string | undefined): string | null =>
  message ? `${message[0]!.toUpperCase()}${message.slice(1)}${/[.!?]$/.test(message) ? '' : '.'}` : null;

export function FormField<Values extends FieldValues>({ form, name, label, hint, ...input }: Props<Values>) {
  const { error } = form.getFieldState(name, form.formState);
  return (
    <Field label={label} hint={hint} problem={sentence(error?.message)}>
      {(bound) => <input {...bound} {...input} {...form.register(name)} className={inputLook} />}
    </Field>
  );
}
