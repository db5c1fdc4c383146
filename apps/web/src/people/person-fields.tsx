/** The fields of an athlete's form, each with its hint and its problem. */
import type { ComponentProps } from 'react';
import { Field, inputLook } from '../ui/field';
import type { AthleteForm } from './athlete-form';
import type { PersonForm } from './use-person';

type TextKey = Exclude<keyof AthleteForm, 'avoid'>;
interface Props {
  readonly person: PersonForm;
  readonly name: TextKey;
  readonly label: string;
  readonly hint?: string;
}

export function TextField({ person: { form, problems, change }, name, label, hint = '', ...input }: Props & Omit<ComponentProps<'input'>, 'name'>) {
  return (
    <Field label={label} hint={hint} problem={problems[name] ?? null}>
      {(bound) => <input {...bound} {...input} className={inputLook} value={form[name]} onChange={(event) => change({ [name]: event.target.value })} />}
    </Field>
  );
}

export function ChoiceField({ person: { form, change }, name, label, hint = '', options }: Props & { options: readonly string[] }) {
  return (
    <Field label={label} hint={hint}>
      {(bound) => (
        <select {...bound} className={inputLook} value={form[name]} onChange={(event) => change({ [name]: event.target.value })}>
          {options.map((option) => (
            <option key={option}>{option}</option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** One thing a line. */
export function LinesField({ person: { form, problems, change }, name, label, hint = '', rows }: Props & { rows: number }) {
  return (
    <Field label={label} hint={hint} problem={problems[name] ?? null}>
      {(bound) => (
        <textarea
          {...bound}
          rows={rows}
          spellCheck={false}
          className={`${inputLook} leading-snug`}
          value={form[name]}
          onChange={(event) => change({ [name]: event.target.value })}
        />
      )}
    </Field>
  );
}
