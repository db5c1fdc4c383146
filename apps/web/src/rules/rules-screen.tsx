/** House rules: where good coaches differ. Only the ones Gambito acts on are offered. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ruleSpecs, type HouseRules, type RuleKey } from '@gambito/core';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useRules } from '../api/queries';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Failed, Loading } from '../ui/states';

export function RulesScreen() {
  const { data: rules, error, refetch } = useRules();
  const client = useQueryClient();
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
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!rules) return <Loading />;
  const choose = (key: RuleKey, value: string): void => {
    const before = rules[key];
    save.mutate({ [key]: value } as Partial<HouseRules>, {
      onSuccess: () =>
        toast('Rule changed; versions follow it.', { action: { label: 'Undo', onClick: () => save.mutate({ [key]: before } as Partial<HouseRules>) } }),
    });
  };
  const keys = Object.keys(ruleSpecs) as RuleKey[];
  return (
    <Page
      title="House rules"
      aside={
        <Button onClick={() => save.mutate(Object.fromEntries(keys.map((key) => [key, ruleSpecs[key].options[0].value])) as Partial<HouseRules>)}>
          All to their defaults
        </Button>
      }
    >
      <p className="mb-3 max-w-3xl text-soft">Where good coaches differ, you choose once. Every version follows, and its explanation names the rule it used.</p>
      <div className="grid gap-x-8 lg:grid-cols-2">
        {keys.map((key) => {
          const spec = ruleSpecs[key];
          return (
            <div key={key} className="grid grid-cols-[1fr_minmax(0,270px)] items-start gap-3 border-b border-line py-2">
              <label htmlFor={key}>
                <span className="font-medium">{spec.question}</span>
                <span className="block text-sm text-soft">{spec.why}</span>
              </label>
              <select id={key} className={`${inputLook} w-full`} value={rules[key]} onChange={(event) => choose(key, event.target.value)}>
                {spec.options.map((each, index) => (
                  <option key={each.value} value={each.value}>
                    {each.label}
                    {index === 0 ? ' (default)' : ''}
                  </option>
                ))}
              </select>
            </div>
          );
        })}
      </div>
    </Page>
  );
}
