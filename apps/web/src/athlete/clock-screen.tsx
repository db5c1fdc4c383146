/** The athlete's two clocks: the workout's, whose taps become the score, and the warm-up's, which leads to it. */
import type { ScoreField } from '@gambito/core';
import { Navigate, useNavigate, useParams } from 'react-router';
import { useAthletePage } from '../api/athlete-page';
import type { AthletePage } from '../api/types';
import { Failed, Loading } from '../ui/states';
import { ClockFace } from './clock-face';
import { Gauges } from './gauges';
import { clockBegunWith, clockKey, scoreDraftKey, scoreOfClock } from './clock-state';
import { useClass, useTellRun } from './use-class';
import type { Led } from './use-clock';
import { useClockView, type ClockModel, type ClockPlan } from './use-clock-view';

interface OpenPage {
  readonly token: string;
  readonly page: AthletePage;
}
/** The page behind the link, once it is there. */
function WithPage({ children }: { children: (open: OpenPage) => React.ReactNode }) {
  const token = useParams()['token']!;
  const { data, error, refetch } = useAthletePage(token);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (data?.held) return <Navigate to={`/a/${token}`} replace />;
  return data ? children({ token, page: data }) : <Loading />;
}

export const ClockScreen = () => <WithPage>{(open) => <WorkoutClock {...open} />}</WithPage>;
function WorkoutClock({ token, page }: OpenPage) {
  const clock = useClockView(clockKey(token, page.sentAt), page.brief.clock);
  return <ScoredClock token={token} page={page} clock={clock} />;
}

/** On the coach's clock, with the whole class. */
export const ClassScreen = () => <WithPage>{(open) => <ClassClock {...open} />}</WithPage>;
function ClassClock({ token, page }: OpenPage) {
  const { led, run, begin, note } = useClass(token);
  if (led === null) return <Loading what={note} />;
  // a clock that the coach starts anew begins without taps
  // a version that was sent anew may not go round with it any more: then it is neither played nor said
  const clock = clockBegunWith(page.brief, begin);
  const said = clock === page.brief.clock ? note : `${note} · begin with ${begin}, then around`;
  return <ClassRun key={`${run} ${begin}`} token={token} page={{ ...page, brief: { ...page.brief, clock } }} led={led} run={run} note={said} />;
}
function ClassRun({ token, page, led, run, note }: OpenPage & { led: Led; run: number; note: string }) {
  const clock = useClockView(clockKey(token, `${page.sentAt}.class.${run}`), page.brief.clock, led);
  const unsent = useTellRun(token, run, clock);
  return <ScoredClock token={token} page={page} clock={clock} note={unsent ? `${note} · taps wait for a connection` : note} />;
}

function ScoredClock({ token, page, clock, note }: OpenPage & { clock: ClockModel; note?: string }) {
  const { brief } = page;
  const navigate = useNavigate();
  const score = scoreOfClock(brief.clock.cues, clock.state, brief.fields as readonly ScoreField[]);
  const carry = (): void => {
    if (score) localStorage.setItem(scoreDraftKey(token), score);
    void navigate(`/a/${token}`);
  };
  return (
    <ClockFace
      title={brief.title}
      back={`/a/${token}`}
      clock={clock}
      gauges={<Gauges token={token} running={clock.running} />}
      {...(note === undefined ? {} : { note })}
      end={{
        word: score ? `Log ${score}` : 'To the score',
        ask: `Finish before the clock has run out?${score ? ` ${score} goes to the score.` : ''}`,
        go: carry,
      }}
    />
  );
}

/** What was sent before warm-ups had a clock has none: its page is all there is. */
export const WarmUpScreen = () => (
  <WithPage>
    {({ token, page }) =>
      page.brief.warmUpClock ? <WarmUpClock token={token} sentAt={page.sentAt} plan={page.brief.warmUpClock} /> : <Navigate replace to={`/a/${token}`} />
    }
  </WithPage>
);
function WarmUpClock({ token, sentAt, plan }: { token: string; sentAt: string; plan: ClockPlan }) {
  const navigate = useNavigate();
  const clock = useClockView(clockKey(token, `${sentAt}.warm-up`), plan);
  return (
    <ClockFace
      title="Warm-up"
      back={`/a/${token}`}
      clock={clock}
      end={{ word: 'To the workout', ask: 'Leave the warm-up here?', go: () => void navigate(`/a/${token}/clock`) }}
    />
  );
}
