/** The fields of an athlete's form, each with its hint and its problem. */
import type { ComponentProps } from 'react';
import { Field, inputLook } from '../ui/field';
import type { PlaceForm, TextKey } from './athlete-form';
import type { PersonForm } from './use-person';
import { choiceWords } from './choice-words';

interface Said {
  readonly label: string;
  readonly hint?: string;
}
interface Props extends Said {
  readonly person: PersonForm;
  readonly name: TextKey;
}
interface Value extends Said {
  readonly value: string;
  readonly problem?: string | undefined;
  readonly change: (value: string) => void;
}

function TextInput({ label, hint = '', problem, value, change, ...input }: Value & Omit<ComponentProps<'input'>, 'value'>) {
  return (
    <Field label={label} hint={hint} problem={problem ?? null}>
      {(bound) => <input {...bound} {...input} className={inputLook} value={value} onChange={(event) => change(event.target.value)} />}
    </Field>
  );
}
function Choice({ label, hint = '', value, change, options }: Value & { readonly options: readonly string[] }) {
  return (
    <Field label={label} hint={hint}>
      {(bound) => (
        <select {...bound} className={inputLook} value={value} onChange={(event) => change(event.target.value)}>
          {(options.includes(value) ? options : [...options, value]).map((option) => (
            <option key={option} value={option}>
              {choiceWords(option)}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
/** One thing a line. */
function Lines({ label, hint = '', problem, value, change, rows }: Value & { readonly rows: number }) {
  return (
    <Field label={label} hint={hint} problem={problem ?? null}>
      {(bound) => (
        <textarea
          {...bound}
          rows={rows}
          spellCheck={false}
          className={`${inputLook} leading-snug`}
          value={value}
          onChange={(event) => change(event.target.value)}
        />
      )}
    </Field>
  );
}

const bind = ({ person: { form, problems, change }, name }: Pick<Props, 'person' | 'name'>) => ({
  value: form[name],
  problem: problems[name],
  change: (value: string): void => change({ [name]: value }),
});
export const TextField = ({ person, name, ...rest }: Props & Omit<ComponentProps<'input'>, 'name' | 'value'>) => (
  <TextInput {...bind({ person, name })} {...rest} />
);
export const ChoiceField = ({ person, name, ...rest }: Props & { readonly options: readonly string[] }) => <Choice {...bind({ person, name })} {...rest} />;
export const LinesField = ({ person, name, ...rest }: Props & { readonly rows: number }) => <Lines {...bind({ person, name })} {...rest} />;

type PlaceKey = Exclude<keyof PlaceForm, 'besides'>;
interface PlaceProps extends Said {
  readonly person: PersonForm;
  readonly name: PlaceKey;
}
const bindPlace = ({ person: { places, problems }, name }: Pick<PlaceProps, 'person' | 'name'>) => ({
  value: places.place[name],
  problem: name === 'name' ? undefined : problems[name],
  change: (value: string): void => places.changePlace({ [name]: value }),
});
export const PlaceText = ({ person, name, ...rest }: PlaceProps) => <TextInput {...bindPlace({ person, name })} {...rest} />;
export const PlaceChoice = ({ person, name, ...rest }: PlaceProps & { readonly options: readonly string[] }) => (
  <Choice {...bindPlace({ person, name })} {...rest} />
);
export const PlaceLines = ({ person, name, ...rest }: PlaceProps & { readonly rows: number }) => <Lines {...bindPlace({ person, name })} {...rest} />;
