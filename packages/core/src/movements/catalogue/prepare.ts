/** Pieces for warm-ups and cool-downs; never offered as a swap. */
import { ease, movement, type Spec } from '../build';

const mobility: Spec = {
  family: 'prepare',
  patterns: { mobility: 1 },
  muscles: { trunk: 1 },
  unit: 's',
  limit: ease(600),
  joulesPerKg: 2,
  cycle: 1,
  reset: 0,
  prepareOnly: true,
  standards: ['Smooth, without pain'],
  noReps: [],
  cautions: ['To the edge of comfort, never into pain'],
};

export const preparePieces = [
  movement('easy-walk', mobility, { muscles: { calves: 1, quads: 0.6 } }),
  movement('arm-circle', mobility, { unit: 'reps', muscles: { shoulders: 1 } }),
  movement('leg-swing', mobility, { unit: 'reps', side: 'perSide', muscles: { posterior: 1 } }),
  movement('cat-and-cow', mobility, { unit: 'reps', aliases: ['cat cow'], avoid: ['kneeling'] }),
  movement('walk-out', mobility, { unit: 'reps', aliases: ['inchworm'], muscles: { posterior: 1, shoulders: 0.7 }, avoid: ['inverted', 'wrists'], cycle: 5 }),
  movement('lunge-with-reach', mobility, { unit: 'reps', side: 'alternating', muscles: { quads: 1, trunk: 0.6 }, avoid: ['deep_knee'], cycle: 4 }),
  movement('segmental-roll-down', mobility, { unit: 'reps', aliases: ['roll down'], muscles: { posterior: 1 }, cycle: 6 }),
  movement('deep-squat-hold', mobility, { aliases: ['squat hold'], muscles: { quads: 1 }, avoid: ['deep_knee'] }),
  movement('hip-flexor-stretch', mobility, { side: 'perSide', muscles: { quads: 1 }, avoid: ['kneeling'] }),
  movement('calf-stretch', mobility, { side: 'perSide', needs: 'wall', muscles: { calves: 1 } }),
  movement('hamstring-stretch', mobility, { side: 'perSide', muscles: { posterior: 1 } }),
  movement('chest-stretch', mobility, { side: 'perSide', needs: 'wall', muscles: { chest: 1 } }),
  movement('back-stretch', mobility, { aliases: ['child pose', 'lat stretch'], muscles: { back: 1 } }),
  movement('shoulder-stretch', mobility, { side: 'perSide', muscles: { shoulders: 1 } }),
  movement('forearm-stretch', mobility, { side: 'perSide', muscles: { grip: 1, arms: 0.5 } }),
  movement('lying-twist', mobility, { side: 'perSide', muscles: { trunk: 1 } }),
];
