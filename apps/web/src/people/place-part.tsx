/** Where somebody trains: several places, the first of them today's, each with its room and its kit. */
import clsx from 'clsx';
import { Copy, MapPin, Plus, Trash2 } from 'lucide-react';
import { Button } from '../ui/button';
import { KitPicker } from './kit-picker';
import { PlaceChoice, PlaceLines, PlaceText } from './person-fields';
import { Understood } from './understood';
import type { PersonForm } from './use-person';

export function PlacePart({ person }: { person: PersonForm }) {
  const { places, form } = person;
  return (
    <section className="flex flex-col gap-2" aria-label="Places">
      <PlaceTabs person={person} />
      <PlaceLines
        person={person}
        name="kit"
        label="Kit"
        hint="one a line: dumbbell 10 kg x 2 · barbell 20 kg, plates 2x10 2x5 kg · chair 45 cm · rope; “nothing” where there is nothing"
        rows={7}
      />
      <Understood kit={places.place.kit} category={form.category} units={form.units} />
      <KitPicker units={form.units} add={(line) => places.changePlace({ kit: [places.place.kit.trimEnd(), line].filter(Boolean).join('\n') })} />
      <div className="grid grid-cols-2 gap-3">
        <PlaceText person={person} name="name" label="Place" />
        <PlaceChoice person={person} name="noise" label="Noise" hint="quiet: no jumps, no drops" options={['free', 'normal', 'quiet']} />
        <PlaceText person={person} name="floor" label="Floor" hint="such as 3 x 2 m" />
        <PlaceText person={person} name="ceiling" label="Ceiling" hint="such as 2.5 m" />
        <PlaceText person={person} name="street" label="To the street" hint="before a run, such as 40 s" />
      </div>
    </section>
  );
}

function PlaceTabs({ person: { form, places } }: { person: PersonForm }) {
  return (
    <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Places">
      {form.places.map((place, index) => (
        <button
          key={index}
          type="button"
          aria-pressed={index === places.at}
          onClick={() => places.open(index)}
          className={clsx(
            'inline-flex min-h-8 items-center gap-1 rounded-full border px-3 text-sm',
            index === places.at ? 'border-ink bg-wash font-semibold' : 'border-line',
          )}
        >
          {index === 0 && form.places.length > 1 && <MapPin size={13} aria-hidden="true" />}
          {place.name || 'place'}
          {index === 0 && form.places.length > 1 && <span className="text-xs font-normal text-soft">today</span>}
        </button>
      ))}
      <Button look="bare" onClick={places.add} aria-label="Add a place" title="Add a place">
        <Plus size={15} />
      </Button>
      <Button look="bare" onClick={places.copy} aria-label="Copy this place" title="Copy this place">
        <Copy size={15} />
      </Button>
      {places.at > 0 && (
        <Button look="bare" onClick={places.makeToday}>
          Trains here today
        </Button>
      )}
      {form.places.length > 1 && (
        <Button look="danger" onClick={places.remove} aria-label={`Remove ${places.place.name}`}>
          <Trash2 size={15} />
        </Button>
      )}
    </div>
  );
}
