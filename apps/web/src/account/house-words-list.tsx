/** What this coach answered about words of their messages; each answer can be taken back, and that undone. */
import { houseWordSentence } from '@gambito/core';
import { useHouseWords, useKeepWords } from '../api/house-words';
import { Button } from '../ui/button';
import { toast } from '../ui/toast';

export function HouseWordsList() {
  const { data } = useHouseWords();
  const { keep, drop } = useKeepWords();
  if (!data) return null;
  return (
    <section className="flex flex-col gap-2" aria-label="Your words">
      <h2 className="text-lg">Your words</h2>
      <p className="text-sm text-soft">What you answered when Gambito asked about a message. It reads your next messages by these answers.</p>
      {data.words.length === 0 ? (
        <p className="text-sm">You have answered no question yet.</p>
      ) : (
        <ul className="divide-y divide-line border-y border-line text-sm">
          {data.words.map((word) => (
            <li key={houseWordSentence(word)} className="flex min-h-10 items-center gap-3 py-1">
              <span className="min-w-0 flex-1">{houseWordSentence(word)}</span>
              <Button
                onClick={() => {
                  drop(word);
                  toast('The answer was taken back.', { action: { label: 'Undo', onClick: () => keep(word) } });
                }}
              >
                Take back
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
