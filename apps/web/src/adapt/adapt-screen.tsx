/** Adapt: the original on top, one lane a version on the same time axis; the version pointed at opens beside it. */
import { changeOf, changeWords, classInWords, defaultRules, loadsInWords, parseWorkout, type Adapted, type Lock, type Mark } from '@gambito/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useParams, useSearchParams, Link } from 'react-router';
import { toast } from 'sonner';
import { useAthletes, useLocks, useMe, useRules, useSaveLocks, useWorkout } from '../api/queries';
import { todayIn } from '../shell/days';
import { laneOf } from '../strip/lane';
import { ScoreRange, StripAxis, StripLane } from '../strip/strip';
import { MarkSign } from '../ui/mark';
import { showScore } from '../ui/scores';
import { Empty, Failed, Loading, Progress } from '../ui/states';
import { useLive } from '../write/use-live';
import { useReference } from '../write/use-reference';
import { useVersions, type Version } from './use-versions';
import { VersionPanel } from './version-panel';
import { useRoom } from '../api/room';

const laneGrid = 'grid grid-cols-[132px_minmax(0,1fr)_200px] items-center gap-3';

export function AdaptScreen() {
  const id = Number(useParams()['id']);
  const [search, setSearch] = useSearchParams();
  const { data: me } = useMe();
  const units = useRoom();
  const asked = { workout: useWorkout(id), athletes: useAthletes(), locks: useLocks(id) };
  const { data: rules = defaultRules } = useRules();
  const failed = Object.values(asked).find((query) => query.error);
  if (failed?.error) return <Failed error={failed.error} retry={() => void failed.refetch()} />;
  const [workout, athletes, locks] = [asked.workout.data, asked.athletes.data, asked.locks.data];
  if (!workout || !athletes || !locks) return <Loading what="Fetching the class" />;
  const read = parseWorkout(workout.text, { units });
  const problems = read.diagnostics.filter((each) => each.level === 'error');
  if (problems.length > 0 || read.workout.parts.length === 0)
    return (
      <div className="p-6">
        <Empty title="The text cannot be read yet">
          {problems.map((each) => (
            <p key={`${each.line}:${each.column}`}>
              Line {each.line}: {each.message}
            </p>
          ))}
          <Link className="underline" to={`/workouts/${id}/write`}>
            Back to the text
          </Link>
        </Empty>
      </div>
    );
  return (
    <Lanes
      id={id}
      text={workout.text}
      athletes={athletes}
      locks={locks}
      rules={rules}
      today={todayIn(me?.coach?.timeZone)}
      chosen={search.get('who')}
      choose={(who) => setSearch(who ? { who } : {}, { replace: true })}
    />
  );
}

type LanesProps = {
  id: number;
  text: string;
  athletes: Parameters<typeof useVersions>[2];
  locks: Parameters<typeof useVersions>[3];
  rules: Parameters<typeof useVersions>[4];
  today: string;
  chosen: string | null;
  choose: (who: string | null) => void;
};

function Lanes({ id, text, athletes, locks, rules, today, chosen, choose }: LanesProps) {
  const versions = useVersions(id, text, athletes, locks, rules, today);
  const reference = useLive(text, 'men');
  const { data: par } = useReference(text, 'men');
  const units = useRoom();
  const original = useMemo(() => parseWorkout(text, { units }).workout, [text, units]);
  const saveLocks = useSaveLocks(id);
  const history = useRef<{ athleteId: number; locks: readonly Lock[] }[]>([]);
  const [, redraw] = useState(0);
  const done = versions.filter((each) => (each.adapted && !each.refreshing) || each.error).length;
  const total = Math.max(60, reference?.run.totalSeconds ?? 0, ...versions.map((each) => each.adapted?.run.totalSeconds ?? 0));
  const idOf = (version: Version): string => (version.athleteId === null ? version.key : String(version.athleteId));
  const selected = versions.find((each) => idOf(each) === chosen) ?? null;

  const setLocks = (athleteId: number, next: readonly Lock[], remember = true): void => {
    if (remember) history.current.push({ athleteId, locks: locks.find((each) => each.athleteId === athleteId)?.locks ?? [] });
    saveLocks.mutate({ athleteId, locks: next });
    redraw((each) => each + 1);
  };
  const undo = (): void => {
    const last = history.current.pop();
    if (!last) return;
    setLocks(last.athleteId, last.locks, false);
    toast('Undone.');
  };
  const undoNow = useRef(undo);
  undoNow.current = undo;
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing = event.target instanceof HTMLElement && /^(?:INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing) return;
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        undoNow.current();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const step = (event: React.KeyboardEvent, index: number): void => {
    if (event.key === 'Escape') choose(null);
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    const next = versions[index + (event.key === 'ArrowDown' ? 1 : -1)];
    if (!next) return;
    choose(idOf(next));
    document.getElementById(`lane-${next.key}`)?.focus();
  };

  return (
    <div className="flex flex-1 flex-col px-5 py-2">
      <div className="flex min-h-6 items-center gap-4">
        <Progress done={done} of={versions.length} what="Versions" />
        {done >= versions.length && (
          <>
            <p className="text-sm font-medium">
              {classInWords(versions.flatMap((each) => (each.adapted && each.athleteId !== null ? [changeOf(each.adapted.version.parts)] : [])))}
            </p>
            <p className="truncate text-xs text-soft">
              Solid block: as written · outlined: swapped · amber: the window · arrow keys walk the lanes, Ctrl Z takes back
            </p>
          </>
        )}
      </div>
      <div className={`grid flex-1 gap-5 ${selected ? 'xl:grid-cols-[minmax(0,1fr)_430px]' : ''}`}>
        <div className="min-w-0">
          <div className={`${laneGrid} border-b-2 border-ink`}>
            <div>
              <p className="font-serif font-semibold">{original.title ?? 'As written'}</p>
              <p className="text-xs text-soft">as written, reference</p>
            </div>
            <div>
              {reference ? (
                <StripLane lane={laneOf(reference.workout, reference.run, () => false)} total={total} height={24} title="The workout as written" />
              ) : (
                <div className="h-6" />
              )}
              <StripAxis total={total} />
            </div>
            <span className="text-right text-sm">{par ? showScore(par.predicted.median, par.predicted.unit) : ''}</span>
          </div>
          <ul aria-label="Versions">
            {versions.map((version, index) => (
              <li key={version.key}>
                <button
                  type="button"
                  id={`lane-${version.key}`}
                  onClick={() => choose(selected?.key === version.key ? null : idOf(version))}
                  onKeyDown={(event) => step(event, index)}
                  aria-expanded={selected?.key === version.key}
                  aria-busy={version.refreshing}
                  className={`${laneGrid} w-full border-b border-line py-px text-left hover:bg-wash ${selected?.key === version.key ? 'bg-wash' : ''} ${version.refreshing ? 'opacity-60' : ''} ${version.athleteId === null && versions[index - 1]?.athleteId !== null ? 'border-t-2 border-t-ink' : ''}`}
                >
                  <span className="min-w-0 leading-tight">
                    <span className="block truncate text-sm font-medium" title={version.name}>
                      {version.name}
                    </span>
                    <span className="block truncate text-xs text-soft">
                      {version.sub}
                      {version.locks.length > 0 && ' · locked'}
                    </span>
                  </span>
                  <LaneOf version={version} total={total} />
                  <Outcome version={version} />
                </button>
              </li>
            ))}
          </ul>
        </div>
        {selected?.adapted && (
          <VersionPanel
            key={selected.key}
            workoutId={id}
            text={text}
            version={selected}
            adapted={selected.adapted}
            original={original}
            rules={rules}
            today={today}
            setLocks={selected.athleteId === null ? null : (next) => setLocks(selected.athleteId!, next)}
            canUndo={history.current.length > 0}
            undo={undo}
            close={() => choose(null)}
          />
        )}
      </div>
    </div>
  );
}

function LaneOf({ version, total }: { version: Version; total: number }) {
  const { adapted } = version;
  if (version.error)
    return (
      <span className="text-sm text-bad">
        {version.error instanceof Error && version.error.message ? version.error.message : 'This version could not be computed.'}
      </span>
    );
  if (!adapted) return <span className="h-6 animate-pulse rounded bg-wash" />;
  const lane = laneOf(adapted.workout, adapted.run, (part, slot) => adapted.version.parts[part]?.slots[slot]?.swapped ?? false);
  const single = adapted.predicted.unit === 'seconds' && adapted.workout.parts.length === 1 && adapted.predicted.perPart.length === 1;
  return (
    <span className="block min-w-0">
      <StripLane
        lane={lane}
        total={total}
        height={19}
        title={`${version.name}: ${showScore(adapted.predicted.median, adapted.predicted.unit)}`}
        finish={single ? adapted.predicted : null}
      />
      <LaneWords adapted={adapted} />
    </span>
  );
}

/** One glance: as written with what is in the hands, or what was changed. */
function LaneWords({ adapted }: { adapted: Adapted }) {
  const units = useRoom();
  const change = changeOf(adapted.version.parts);
  const loads = loadsInWords(adapted.version.parts, units);
  if (change === 'asWritten')
    return (
      <span className="block truncate text-xs leading-tight text-soft">
        as written{loads && ','} <span className="text-ink">{loads}</span>
      </span>
    );
  const edits = adapted.version.parts.flatMap((part) => part.edits.map(({ text }) => text));
  return <span className="block truncate text-xs leading-tight">{edits.join(' · ')}</span>;
}

/** The mark of the swap that gives up most; null where nothing was swapped. */
function worstMark({ version }: Adapted): Mark | null {
  const marks = version.parts.flatMap(({ slots }) => slots.filter(({ swapped }) => swapped).map(({ mark }) => mark));
  return (['?', '?!', '!?', '!'] as const).find((mark) => marks.includes(mark)) ?? null;
}

function Outcome({ version }: { version: Version }) {
  const { adapted } = version;
  if (!adapted) return <span />;
  const { predicted, intent } = adapted;
  const worst = worstMark(adapted);
  const change = changeOf(adapted.version.parts);
  const window = intent.window && intent.window.unit === predicted.unit && intent.window.per !== 'round' ? intent.window : null;
  const ends = [predicted.low, predicted.high, window?.low ?? predicted.median, window?.high ?? predicted.median];
  const spread = Math.max(...ends) - Math.min(...ends) || 1;
  return (
    <span className="grid grid-cols-[1fr_auto] items-center gap-x-2">
      <span className="flex flex-col">
        <ScoreRange {...predicted} window={window} from={Math.min(...ends) - 0.15 * spread} to={Math.max(...ends) + 0.15 * spread} />
        <span className="flex items-baseline justify-between text-xs">
          <b>{showScore(predicted.median, predicted.unit)}</b>
          {adapted.insideBand === false && <span className="text-bad">outside</span>}
        </span>
      </span>
      <span className="w-16 text-right text-xs leading-tight text-soft">
        {worst && <MarkSign mark={worst} words={false} />} {changeWords[change]}
      </span>
    </span>
  );
}
