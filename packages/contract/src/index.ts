/** Everything that crosses a boundary: files, HTTP, workers. */
export * from './file-schemas';
export * from './answers';
export * from './audience';
export * from './file-lists';
export * from './library';
export * from './archive';
export * from './account';
export * from './today';
export * from './felt-words';
export * from './door';
export * from './class-clock';
export * from './record';
export * from './delivery';
export * from './house-words';
export * from './discomfort';
export { workoutSchema, windowSchema, scoreKindSchema } from './workout-schema';
export { presentAdapted, presentLoads, presentMovement, presentPrediction, rounded } from './present';
export { readPlain } from './read-file';
