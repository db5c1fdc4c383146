/** A new workout that nobody wrote in: the cursor waits in it, and it is not kept when it is left. */
import type { StoredWorkout } from '../api/types';

export const newWorkoutText = '# New workout\n';

/** where the text waits that is not saved yet */
export const draftKey = (id: number): string => `gambito.draft.${id}`;

export const isUntouched = ({ id, text }: Pick<StoredWorkout, 'id' | 'text'>): boolean =>
  text === newWorkoutText && localStorage.getItem(draftKey(id)) === null;
