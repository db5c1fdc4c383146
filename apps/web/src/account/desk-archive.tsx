/** The whole desk as one file: people, workouts, decisions, what was sent and scored; and such a file taken into an empty desk. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Download, Upload } from 'lucide-react';
import { useRef } from 'react';
import { toast } from '../ui/toast';
import { messageOf, upload } from '../api/client';
import { Button } from '../ui/button';

export function DeskArchive() {
  const client = useQueryClient();
  const field = useRef<HTMLInputElement>(null);
  const take = useMutation({
    mutationFn: (file: File) => upload<{ lines: number }>('/archive', file, 'application/gzip'),
    onSuccess: async ({ lines }) => {
      await client.invalidateQueries();
      toast(`The desk is taken in: ${lines} lines. Boards are read in the background.`);
    },
    onError: (failure) => toast.error(messageOf(failure), { duration: 20_000 }),
  });
  return (
    <section className="flex flex-col gap-2 text-sm">
      <h2 className="text-lg">The desk as a file</h2>
      <p className="text-soft">
        Everything that is yours here, gzipped lines of JSON as docs/files.md describes them. Links of athletes and passwords stay out. It goes into an empty
        desk, all of it or nothing.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button asChild>
          <a href="/api/archive" download>
            <Download size={15} /> Save the desk
          </a>
        </Button>
        <Button onClick={() => field.current?.click()} disabled={take.isPending}>
          <Upload size={15} /> {take.isPending ? 'Taking it in …' : 'Take a desk in'}
        </Button>
        <input
          ref={field}
          type="file"
          accept=".gz,application/gzip"
          aria-label="Archive of a desk"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) take.mutate(file);
          }}
        />
      </div>
    </section>
  );
}
