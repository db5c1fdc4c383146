import { changeOf, changeWords, type Adapted } from '@gambito/core';
import { ScoreRange } from '../strip/strip';
import { MarkSign } from '../ui/mark';
import { showScore } from '../ui/scores';
import { worstMark } from './lane-order';

const margin = 0.15;

/** What a version comes to: its score in the window, its worst mark, how far it is from the text. */
export function Outcome({ adapted }: { adapted: Adapted | null }) {
  if (!adapted) return <span />;
  const { predicted, intent, insideBand } = adapted;
  const worst = worstMark(adapted);
  const window = intent.window && intent.window.unit === predicted.unit && intent.window.per !== 'round' ? intent.window : null;
  const ends = [predicted.low, predicted.high, window?.low ?? predicted.median, window?.high ?? predicted.median];
  const spread = margin * (Math.max(...ends) - Math.min(...ends) || 1);
  return (
    <span className="grid grid-cols-[1fr_auto] items-center gap-x-2">
      <span className="flex flex-col">
        <ScoreRange {...predicted} window={window} from={Math.min(...ends) - spread} to={Math.max(...ends) + spread} />
        <span className="flex items-baseline justify-between text-xs">
          <b>{showScore(predicted.median, predicted.unit)}</b>
          {insideBand === false && <span className="text-bad">outside</span>}
        </span>
      </span>
      <span className="w-16 text-right text-xs leading-tight text-soft">
        {worst && <MarkSign mark={worst} words={false} />} {changeWords[changeOf(adapted.version.parts)]}
      </span>
    </span>
  );
}
