/** House rules: where good coaches differ. What a choice changes is shown in a workout of the coach's own. Only the rules Gambito acts on are offered. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ruleLabel, ruleSpecs, type HouseRules, type RuleKey } from '@gambito/core';
import { useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { useRules } from '../api/rules';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Failed, Loading } from '../ui/states';
import { EffectsPanel } from './effects-panel';
import { RitualForm } from './ritual-form';
import { TiersForm } from './tiers-form';

const keys = Object.keys(ruleSpecs) as RuleKey[];
const defaults = Object.fromEntries(keys.map((key) => [key, ruleSpecs[key].options[0].value])) as Partial<HouseRules>;

/** The rules, the last choice with what stood before it, and choosing. */
function useRuleChoice() {
  const { data: rules, error, refetch } = useRules();
  const client = useQueryClient();
  const [last, setLast] = useState<{ before: HouseRules; said: string } | null>(null);
  const save = useMutation({
    mutationFn: (change: Partial<HouseRules>) => api<{ rules: HouseRules }>('/rules', { method: 'PUT', body: { rules: change } }),
    onMutate: (change) => {
      const before = client.getQueryData<HouseRules>(['rules']);
      client.setQueryData(['rules'], { ...before, ...change });
      return { before };
    },
    onError: (failure, _change, context) => {
      client.setQueryData(['rules'], context?.before);
      toast.error(messageOf(failure));
    },
  });
  const choose = (key: RuleKey, value: string): void => {
    if (!rules) return;
    const before = rules;
    setLast({ before, said: ruleLabel(key, value) });
    const undo = (): void => {
      setLast(null);
      save.mutate({ [key]: before[key] } as Partial<HouseRules>);
    };
    save.mutate({ [key]: value } as Partial<HouseRules>, {
      onSuccess: () => toast('Rule changed; versions follow it.', { action: { label: 'Undo', onClick: undo } }),
    });
  };
  const reset = (): void => {
    if (rules) setLast({ before: rules, said: 'All to their defaults' });
    save.mutate(defaults);
  };
  return { rules, error, again: () => void refetch(), last, choose, reset };
}

export function RulesScreen() {
  const { rules, error, again, last, choose, reset } = useRuleChoice();
  if (error) return <Failed error={error} retry={again} />;
  if (!rules) return <Loading />;
  return (
    <Page wide title="House rules" aside={<Button onClick={reset}>All to their defaults</Button>}>
      <p className="mb-3 max-w-3xl text-soft">Where good coaches differ, you choose once. Every version follows, and its explanation names the rule it used.</p>
      <EffectsPanel before={last?.before ?? null} after={rules} said={last?.said ?? null} />
      <div className="grid gap-x-8 lg:grid-cols-2">
        {keys.map((key) => (
          <Rule key={key} name={key} value={rules[key]} choose={(value) => choose(key, value)} />
        ))}
      </div>
      <TiersForm />
      <RitualForm isUsed={rules.warmUp === 'own'} />
    </Page>
  );
}

function Rule({ name, value, choose }: { name: RuleKey; value: string; choose: (value: string) => void }) {
  const spec = ruleSpecs[name];
  return (
    <div className="grid grid-cols-[1fr_minmax(0,270px)] items-start gap-3 border-b border-line py-2">
      <label htmlFor={name}>
        <span className="font-medium">{spec.question}</span>
        <span className="block text-sm text-soft">{spec.why}</span>
      </label>
      <select id={name} className={`${inputLook} w-full`} value={value} onChange={(event) => choose(event.target.value)}>
        {spec.options.map((option, index) => (
          <option key={option.value} value={option.value}>
            {option.label}
            {index === 0 ? ' (default)' : ''}
          </option>
        ))}
      </select>
    </div>
  );
}
