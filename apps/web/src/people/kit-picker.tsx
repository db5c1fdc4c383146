/** Kit by picking: an implement and its figures become a line of the kit, in the words one would type. */
import { readKit } from '@gambito/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { kitLine, kitOffers, type KitOffer } from './kit-offers';

export function KitPicker({ units, add }: { units: string; add: (line: string) => void }) {
  const [name, setName] = useState(kitOffers[0]!.name);
  const [figures, setFigures] = useState('');
  const offer = kitOffers.find((other) => other.name === name)!;
  const line = kitLine(offer, figures, units);
  const readable = line !== null && readKit([line]).problems.every(({ code }) => code === 'assumed');
  const put = (): void => {
    if (!readable) return;
    add(line);
    setFigures('');
  };
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm" role="group" aria-label="Add kit by picking">
      <select aria-label="Implement" className={`${inputLook} min-w-0 flex-1`} value={name} onChange={(event) => setName(event.target.value)}>
        {kitOffers.map((other) => (
          <option key={other.name}>{other.name}</option>
        ))}
      </select>
      {offer.figures && <Figures offer={offer} units={units} value={figures} change={setFigures} put={put} />}
      <Button onClick={put} disabled={!readable}>
        Add
      </Button>
      <span className="min-h-5 w-full text-xs text-soft" role="status">
        {readable ? `Adds “${line}”` : offer.figures ? `Expected ${offer.expected}` : ''}
      </span>
    </div>
  );
}

function Figures({ offer, units, value, change, put }: { offer: KitOffer; units: string; value: string; change: (value: string) => void; put: () => void }) {
  return (
    <input
      aria-label={`${offer.figures} of the ${offer.name}`}
      placeholder={offer.figures === 'cm' ? 'cm' : offer.figures === 'm' ? 'm' : units}
      className={`${inputLook} w-28`}
      value={value}
      onChange={(event) => change(event.target.value)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        put();
      }}
    />
  );
}
