/** One version beside the original: what was changed, what a coach must hear of it, its parts, and the figures behind a click. */
import { formatWindow, type Adapted, type HouseRules, type Lock, type Workout } from '@gambito/core';
import { Redo2, Undo2, X } from 'lucide-react';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import { useByWhom } from '../api/by-whom';
import { Button } from '../ui/button';
import { showScore } from '../ui/scores';
import { Beside } from './beside';
import { Compare } from './compare';
import { Compensation } from './compensation';
import { DriftFigures } from './drift-figures';
import { EditChips } from './edit-chips';
import { HandVersion } from './hand-version';
import { NoteField } from './note-field';
import { PanelPart } from './panel-part';
import { RulesAtWork } from './rules-at-work';
import type { LockHistory } from './use-lock-history';
import type { Version } from './use-versions';

interface Props {
  readonly text: string;
  readonly version: Version;
  readonly adapted: Adapted;
  readonly original: Workout;
  readonly rules: HouseRules;
  readonly today: string;
  /** the other people of the class */
  readonly others: readonly Version[];
  /** everybody else, tiers too */
  readonly compared: readonly Version[];
  readonly history: LockHistory;
  /** back to its lane */
  readonly leave: () => void;
  readonly close: () => void;
}

const panelId = 'version-panel';
/** The first line of the version gets the keys, once it is drawn. */
export function enterPanel(tries = 20): void {
  const line = document.querySelector<HTMLElement>(`#${panelId} section li > button`);
  if (line) line.focus();
  else if (tries > 0) setTimeout(() => enterPanel(tries - 1), 50);
}

export function VersionPanel({ text, version, adapted, original, rules, today, others, compared, history, leave, close }: Props) {
  const { athleteId } = version;
  const panel = useRef<HTMLElement>(null);
  // where it stands above the lanes, whoever opens one further down sees it
  useEffect(() => {
    panel.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const setLocks = athleteId === null ? null : (locks: readonly Lock[]) => history.decide([{ athleteId, locks }]);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    leave();
  };
  return (
    <aside
      id={panelId}
      ref={panel}
      aria-label={`Version of ${version.name}`}
      onKeyDown={onKeyDown}
      className="order-first max-h-[calc(100dvh-120px)] overflow-auto border-line xl:sticky xl:top-2 xl:order-none xl:border-l xl:pl-5"
    >
      <PanelHead version={version} history={athleteId === null ? null : history} close={close} />
      <Score adapted={adapted} />
      {setLocks && <HandVersion locks={version.locks} adapted={adapted} setLocks={setLocks} />}
      <EditChips adapted={adapted} takeBack={setLocks && ((lock) => setLocks([...version.locks, lock]))} />
      <Warnings adapted={adapted} />
      {adapted.version.parts.map((part, index) => (
        <PanelPart key={index} index={index} part={part} {...{ text, version, adapted, original, rules, today, others, history, setLocks }} />
      ))}
      {setLocks && <NoteField name={version.name} locks={version.locks} setLocks={setLocks} />}
      {setLocks && <Beside name={version.name} who={version.who} locks={version.locks} {...{ adapted, today, rules, setLocks }} />}
      <Compare version={version} adapted={adapted} others={compared} />
      <DriftFigures drift={adapted.drift} />
      <Compensation adapted={adapted} />
      <RulesAtWork text={text} who={version.who} today={today} rules={rules} locks={version.locks} />
      <p className="mt-3 text-sm text-soft">
        On a usual day the score of this version tells fitness to within {Math.round(adapted.comparability.uncertainty * 100)} %. Nearest tier:{' '}
        {adapted.nearestTier.name}.
      </p>
      <Assumed assumed={adapted.assumed} />
    </aside>
  );
}

function PanelHead({ version, history, close }: { version: Version; history: LockHistory | null; close: () => void }) {
  const by = useByWhom()(version.by);
  return (
    <div className="flex items-start gap-2">
      <div>
        <h2 className="text-xl">{version.name}</h2>
        <p className="text-sm text-soft">
          {version.sub}
          {by && `, decided by ${by}`}
        </p>
      </div>
      <div className="ml-auto flex gap-1">
        {history && (
          <>
            <Button look="bare" onClick={history.undo} disabled={!history.canUndo} aria-label="Undo the last choice">
              <Undo2 size={16} /> Undo
            </Button>
            <Button look="bare" onClick={history.redo} disabled={!history.canRedo} aria-label="Redo the last choice">
              <Redo2 size={16} />
            </Button>
          </>
        )}
        <Button look="bare" onClick={close} aria-label="Close this version">
          <X size={16} />
        </Button>
      </div>
    </div>
  );
}

function Score({ adapted: { predicted, intent, insideBand } }: { adapted: Adapted }) {
  return (
    <p className="mt-2">
      <b className="font-serif text-xl">{showScore(predicted.median, predicted.unit)}</b>{' '}
      <span className="text-sm text-soft">
        {showScore(predicted.low, predicted.unit)} to {showScore(predicted.high, predicted.unit)}
      </span>
      {intent.window && (
        <span className={`ml-2 rounded px-1.5 text-sm ${insideBand === false ? 'border border-bad text-bad' : 'bg-amber-wash text-amber-ink'}`}>
          window {formatWindow(intent.window)}
        </span>
      )}
    </p>
  );
}

function Warnings({ adapted: { warnings } }: { adapted: Adapted }) {
  if (warnings.length === 0) return null;
  return (
    <ul className="mt-3 flex flex-col gap-1 text-sm" aria-label="Warnings">
      {warnings.map(({ code, message }) => (
        <li key={code + message} className="border-l-4 border-amber pl-2">
          {message}
        </li>
      ))}
    </ul>
  );
}

function Assumed({ assumed }: { assumed: readonly string[] }) {
  if (assumed.length === 0) return null;
  return (
    <details className="mt-3 text-sm text-soft">
      <summary>Assumed ({assumed.length})</summary>
      <ul className="list-disc pl-5">
        {assumed.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </details>
  );
}
