/** What is shown, as a file. */
import { Download } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { toast } from '../ui/toast';
import { messageOf } from '../api/client';
import { Button } from '../ui/button';
import { download } from '../ui/csv';
import { exportFormats, type ExportFormat } from './portable';
import { textsOf } from './use-library-actions';

async function save(ids: readonly number[], { file, type, write }: ExportFormat): Promise<void> {
  try {
    download(file, write(await textsOf(ids)), type);
  } catch (error) {
    toast.error(messageOf(error));
  }
}

export function ExportMenu({ ids }: { ids: readonly number[] }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button aria-label={`Save the ${ids.length} shown as a file`}>
          <Download size={15} /> Save as
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={4} className="z-40 min-w-32 rounded-md border border-line bg-sheet p-1 text-sm shadow-lg">
          {exportFormats.map((format) => (
            <DropdownMenu.Item
              key={format.name}
              className="cursor-default rounded px-3 py-1.5 outline-none data-[highlighted]:bg-wash"
              onSelect={() => void save(ids, format)}
            >
              {format.name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
