/** Another version beside the open one: line by line, and what each comes to. */
import { loadsInWords, type Adapted } from '@gambito/core';
import { useState } from 'react';
import { useRoom } from '../api/room';
import { inputLook } from '../ui/field';
import { showScore } from '../ui/scores';
import type { Version } from './use-versions';

export function Compare({ version, adapted, others }: { version: Version; adapted: Adapted; others: readonly Version[] }) {
  const [key, setKey] = useState('');
  const other = others.find((each) => each.key === key);
  return (
    <section aria-label="Compare" className="mt-3 text-sm">
      <label className="flex items-center gap-2">
        Beside
        <select className={`${inputLook} !py-1 !text-sm`} value={key} onChange={(event) => setKey(event.target.value)}>
          <option value="">nobody</option>
          {others.map((each) => (
            <option key={each.key} value={each.key}>
              {each.name}
            </option>
          ))}
        </select>
      </label>
      {other?.adapted && (
        <div className="mt-2 grid grid-cols-2 gap-3">
          <Side name={version.name} adapted={adapted} />
          <Side name={other.name} adapted={other.adapted} />
        </div>
      )}
    </section>
  );
}

function Side({ name, adapted: { version, predicted } }: { name: string; adapted: Adapted }) {
  const loads = loadsInWords(version.parts, useRoom());
  return (
    <div className="min-w-0">
      <p className="font-medium">{name}</p>
      <p>
        {showScore(predicted.median, predicted.unit)} {loads && <span className="text-soft">· {loads}</span>}
      </p>
      <pre className="mt-1 whitespace-pre-wrap font-sans text-xs leading-snug">{version.text.replace(/^#.*\n/, '').trim()}</pre>
    </div>
  );
}
