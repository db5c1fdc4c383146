/** Several people changed at once: all of them or none, and one undo for all of it. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { StoredAthlete } from '../api/types';

export interface Change {
  /** null: somebody new */
  readonly before: StoredAthlete | null;
  readonly file: Record<string, unknown>;
}
interface Saved {
  readonly changes: readonly Change[];
  readonly ids: readonly number[];
}
const many = (athletes: unknown[]): Promise<{ ids: number[] }> => api('/athletes/many', { method: 'POST', body: { athletes } });

async function save(changes: readonly Change[]): Promise<Saved> {
  const { ids } = await many(changes.map(({ before, file }) => ({ id: before?.id ?? null, file, revision: before?.revision ?? 0 })));
  return { changes, ids };
}
async function takeBack({ changes, ids }: Saved): Promise<void> {
  const changed = changes.flatMap(({ before }) => (before ? [{ id: before.id, file: before.file, revision: before.revision + 1 }] : []));
  if (changed.length > 0) await many(changed);
  for (const [at, { before }] of changes.entries()) if (!before) await api(`/athletes/${ids[at]}`, { method: 'DELETE' });
}

/** @param done said when it is */
export function useSaveMany(done: (count: number) => string) {
  const client = useQueryClient();
  const refresh = (): Promise<void> => client.invalidateQueries({ queryKey: ['athletes'] });
  return useMutation({
    mutationFn: save,
    onSuccess: async (saved) => {
      await refresh();
      const undo = (): void => void takeBack(saved).then(refresh, (error: unknown) => toast.error(messageOf(error)));
      toast(done(saved.changes.length), { duration: 20_000, action: { label: 'Undo', onClick: undo } });
    },
    onError: (error) => toast.error(messageOf(error)),
  });
}
