import { templates } from './templates';

/** Beside an empty page: a part of every kind, put into the text at a click. */
export function CheatSheet({ insert }: { insert: (text: string) => void }) {
  return (
    <>
      <p className="text-soft">Write a header such as “AMRAP 12:00” and its movements below it. The strip draws itself. Or begin with one of these:</p>
      <ul aria-label="To begin with" className="mt-3 grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
        {templates.map(({ name, text }) => (
          <li key={name} className="border-t border-line">
            <button type="button" className="block w-full py-2 text-left hover:bg-wash" onClick={() => insert(text)} aria-label={`Begin with: ${name}`}>
              <span className="block text-sm font-medium">{name}</span>
              <span className="block whitespace-pre-wrap text-sm leading-snug text-soft">{text}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
