/** What only the coach can say of a message: at most three questions at a time, the first of them answered by a key. */
import { movements, type HouseWord, type Question } from '@gambito/core';
import { useEffect, useId, useState } from 'react';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';

const mostShown = 3;

interface Props {
  readonly questions: readonly Question[];
  readonly answer: (word: HouseWord) => void;
  readonly takeBack: (() => void) | null;
}

/** Alt with a figure answers the first question; Alt and the backspace key take the last answer back. */
function useAnswerKeys({ questions, answer, takeBack }: Props): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!event.altKey) return;
      // the figure as it stands on the key: with Alt some keyboards type another sign
      const choice = questions[0]?.choices[Number(/^Digit([1-9])$/.exec(event.code)?.[1] ?? Number.NaN) - 1];
      const back = event.key === 'Backspace' ? takeBack : null;
      if (!choice && !back) return;
      event.preventDefault();
      if (choice) answer(choice.answer);
      else back?.();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}

export function MessageQuestions(props: Props) {
  useAnswerKeys(props);
  const { questions, answer, takeBack } = props;
  const more = questions.length - mostShown;
  if (questions.length === 0 && !takeBack) return null;
  return (
    <div className="mt-3">
      <ol aria-label="Questions" className="flex flex-col gap-3">
        {questions.slice(0, mostShown).map((question, at) => (
          <li key={question.asks}>
            <QuestionRow question={question} answer={answer} hasKeys={at === 0} />
          </li>
        ))}
      </ol>
      <p className="mt-1 flex flex-wrap items-center gap-3 text-soft" aria-live="polite">
        {more > 0 && <span>{more === 1 ? 'One more question follows.' : `${more} more questions follow.`}</span>}
        {takeBack && (
          <Button look="bare" onClick={takeBack} title="Alt and the backspace key">
            Take the last answer back
          </Button>
        )}
      </p>
    </div>
  );
}

function QuestionRow({ question, answer, hasKeys }: { question: Question; answer: Props['answer']; hasKeys: boolean }) {
  const { asks, choices, movement, about } = question;
  return (
    <fieldset>
      <legend className="font-medium">{asks}</legend>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {choices.map(({ label, answer: word }, at) => (
          <Button key={label} onClick={() => answer(word)}>
            {hasKeys && <kbd className="font-sans text-soft">Alt {at + 1}</kbd>}
            {label}
          </Button>
        ))}
        {movement && <LikeAnother about={about} answer={answer} />}
      </div>
    </fieldset>
  );
}

const names = movements.map(({ name }) => name);
const byName = new Map(names.map((name) => [name.toLowerCase(), name]));
/** A movement of the coach's own, reckoned as one that Gambito knows. */
function LikeAnother({ about, answer }: { about: string; answer: Props['answer'] }) {
  const [typed, setTyped] = useState('');
  const list = useId();
  const chosen = byName.get(typed.trim().toLowerCase());
  const use = (): void => void (chosen && answer({ kind: 'like', words: about, means: chosen }));
  return (
    <span className="flex items-center gap-2">
      <label className="flex items-center gap-2">
        A movement of its own, about as hard as
        <input
          className={`${inputLook} !w-44`}
          list={list}
          value={typed}
          placeholder="a movement"
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && use()}
        />
      </label>
      <datalist id={list}>
        {names.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Button onClick={use} disabled={!chosen}>
        Use it
      </Button>
    </span>
  );
}
