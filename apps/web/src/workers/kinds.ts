import { slotsOfPart, type Workout } from '@gambito/core';

/** The shape of a workout: what says something of a part holds only while the parts are the same. */
export const kindsOf = ({ parts }: Pick<Workout, 'parts'>): string => parts.map((part) => `${part.kind} ${slotsOfPart(part).length}`).join();
