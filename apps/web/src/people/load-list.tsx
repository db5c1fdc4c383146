import { trimNumber, type FeasibleLoad } from '@gambito/core';

/** What the kit can make, by implement; many loads are told as a range with their steps. */
export function LoadList({ loads, others, assumed }: { loads: readonly FeasibleLoad[]; others: readonly string[]; assumed: readonly string[] }) {
  const groups = new Map<string, FeasibleLoad[]>();
  for (const load of loads) {
    const key = `${load.count === 2 ? 'two ' : ''}${load.implement}${load.count === 2 ? 's' : ''}`;
    groups.set(key, [...(groups.get(key) ?? []), load]);
  }
  const kg = (load: FeasibleLoad): string => trimNumber(load.grams / 1000, 2);
  return (
    <aside aria-label="Loads this kit makes" className="text-sm">
      <h2 className="text-base">Loads this kit makes</h2>
      {loads.length === 0 && <p className="text-soft">None yet: only body mass.</p>}
      <dl>
        {[...groups.entries()].map(([name, list]) => (
          <div key={name} className="border-b border-line py-1">
            <dt className="font-medium">{name}</dt>
            <dd className="text-soft">
              {list.length > 14
                ? `${list.length} loads, ${kg(list[0]!)}–${kg(list[list.length - 1]!)} kg: ${list.slice(0, 6).map(kg).join(', ')} …`
                : `${list.map(kg).join(', ')} kg`}
              {list[0]?.range && ' (about; a band pulls harder the longer it is)'}
            </dd>
          </div>
        ))}
      </dl>
      {others.length > 0 && (
        <p className="mt-2">
          <b className="font-medium">Also there:</b> <span className="text-soft">{others.join(', ')}</span>
        </p>
      )}
      {assumed.length > 0 && (
        <>
          <h2 className="mt-4 text-base">Assumed</h2>
          <ul className="list-disc pl-5 text-soft">
            {assumed.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </>
      )}
    </aside>
  );
}
