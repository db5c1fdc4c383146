/** How the reference athlete would pace a part: splits chosen through the simulation, and the slot that decides. */
import { formatClock, pacingSentence, type Pacing } from '@gambito/core';

export function PartPacing({ pacing, part }: { pacing: Pacing; part: number }) {
  const slots = pacing.slots.map((slot, index) => ({ ...slot, decides: pacing.limiting === index })).filter((slot) => slot.part === part);
  const attempts = pacing.attempts.find((each) => each.part === part);
  if (slots.length === 0 && !attempts) return null;
  return (
    <div className="mt-2 text-sm">
      <h3 className="font-medium">Pacing</h3>
      <ul>
        {slots.map((slot) => (
          <li key={slot.slot}>
            {pacingSentence(slot)}
            {slot.lostSeconds >= 5 && <span className="text-soft">, {formatClock(slot.lostSeconds)} lost</span>}
            {slot.decides && <b className="font-medium"> decides the score</b>}
          </li>
        ))}
        {attempts && <li>attempts: {attempts.list.map(({ atSeconds, kg }) => `${formatClock(atSeconds)} ${kg} kg`).join(', ')}</li>}
      </ul>
    </div>
  );
}
