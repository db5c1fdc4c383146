/** `?` tells the keys of a screen. */
import { Keyboard } from 'lucide-react';
import { useState } from 'react';
import { Modal } from './modal';
import { useDeskKeys } from './use-desk-keys';

export function Shortcuts({ keys }: { keys: readonly (readonly [string, string])[] }) {
  const [open, setOpen] = useState(false);
  useDeskKeys({ '?': () => setOpen(true) });
  return (
    <Modal
      open={open}
      setOpen={setOpen}
      title="Keys"
      className="w-[min(26rem,92vw)]"
      trigger={
        <button type="button" className="hidden rounded p-2 md:block hover:bg-wash" aria-label="Keys of this screen" title="Keys of this screen (?)">
          <Keyboard size={16} />
        </button>
      }
    >
      <dl className="mt-2 grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1.5 text-sm">
        {keys.map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
