/** What a workout has beside its text: its day, its tags, whom it is for. */
import type { StoredWorkout } from '../api/types';
import { useSaveDetails } from '../api/save-details';
import { inputLook } from '../ui/field';
import { TagField } from '../ui/tag-field';
import { AudienceField } from './audience-field';

export function WorkoutDetails({ workout }: { workout: StoredWorkout }) {
  const save = useSaveDetails(workout);
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <input
        type="date"
        aria-label="Day"
        className={`${inputLook} !py-1 !text-sm`}
        value={workout.day ?? ''}
        onChange={(event) => save({ day: event.target.value || null })}
      />
      <AudienceField audience={workout.audience} change={(audience) => save({ audience })} />
      <TagField tags={workout.tags} change={(tags) => save({ tags })} />
    </div>
  );
}
