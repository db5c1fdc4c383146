/** What a workout has beside its text: its day, its tags, whom it is for. */
import type { StoredWorkout } from '../api/types';
import { useSaveDetails } from '../api/save-details';
import { DayField } from '../ui/day-field';
import { TagField } from '../ui/tag-field';
import { AudienceField } from './audience-field';
import { NearDays } from './near-days';

export function WorkoutDetails({ workout }: { workout: StoredWorkout }) {
  const save = useSaveDetails(workout);
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <DayField label="Day" day={workout.day} save={(day) => save({ day })} className="!py-1 !text-sm" />
      {workout.day === null && <NearDays take={(day) => save({ day })} />}
      <AudienceField audience={workout.audience} change={(audience) => save({ audience })} />
      <TagField tags={workout.tags} change={(tags) => save({ tags })} />
    </div>
  );
}
