import { held, maybeHeld, movement, ofLift, type Spec } from '../build';

const lunging: Spec = {
  family: 'lunge',
  patterns: { lunge: 1 },
  muscles: { quads: 1, posterior: 0.7, trunk: 0.25, calves: 0.2 },
  side: 'alternating',
  floor: [2, 1],
  avoid: ['deep_knee'],
  rise: [0.23, 0.23],
  cycle: 1.9,
  reset: 4,
  limit: ofLift('backSquat', 0.5, 0.3),
  standards: ['Back knee kisses the floor without weight on it', 'Stand tall before the next step'],
  noReps: ['Knee short of the floor', 'Pushed off the thigh with the hand'],
  cautions: ['A sore front knee often prefers stepping back'],
};
const stepping: Spec = {
  ...lunging,
  family: 'step',
  needs: 'box | stairs | bench',
  floor: [1, 1],
  rise: [0.28, 0.28],
  cycle: 2.2,
  standards: ['Whole foot on top', 'Hip and knee open on top'],
  noReps: ['Pushing off with the lower foot'],
  cautions: ['Surface checked: steady, dry, not on a rug'],
};
const loads = ['dumbbell', 'kettlebell'] as const;

export const lunges = [
  movement('lunge', lunging, { aliases: ['alternating lunge', 'forward lunge', 'lunges'], load: maybeHeld('hands', 2, ...loads), easier: ['reverse-lunge', 'low-step-up'], harder: ['jumping-lunge'] }),
  movement('reverse-lunge', lunging, { aliases: ['back lunge', 'alternating reverse lunge'], load: maybeHeld('hands', 2, ...loads), limit: ofLift('backSquat', 0.52, 0.3), easier: ['low-step-up'], harder: ['lunge', 'walking-lunge'] }),
  movement('walking-lunge', lunging, { aliases: ['walking lunges', 'lunge walk'], load: maybeHeld('hands', 2, ...loads), floor: [4, 1], rise: [0.23, 0.23], easier: ['lunge', 'reverse-lunge'], harder: ['front-rack-walking-lunge'] }),
  movement('lateral-lunge', lunging, { aliases: ['side lunge'], load: maybeHeld('goblet', 1, ...loads), floor: [1, 2], rise: [0.2, 0.2], cycle: 2.2, limit: ofLift('backSquat', 0.45, 0.3), easier: ['reverse-lunge'], harder: [] }),
  movement('jumping-lunge', lunging, { aliases: ['jump lunge', 'split jump'], patterns: { lunge: 0.7, jump: 0.3 }, avoid: ['deep_knee', 'jumping'], rise: [0.34, 0], cycle: 1.4, limit: ofLift('backSquat', 0.36, 0.3), easier: ['reverse-lunge', 'lunge'], harder: [] }),
  movement('split-squat', lunging, { side: 'perSide', load: maybeHeld('hands', 2, ...loads), cycle: 2, limit: ofLift('backSquat', 0.55, 0.3), easier: ['reverse-lunge'], harder: ['raised-split-squat'] }),
  movement('raised-split-squat', lunging, { aliases: ['rear-foot-raised split squat'], side: 'perSide', needs: 'chair | box | bench | couch', load: maybeHeld('hands', 2, ...loads), cycle: 2.3, limit: ofLift('backSquat', 0.42, 0.3), skill: 1, easier: ['split-squat'], harder: ['pistol'] }),
  movement('dumbbell-lunge', lunging, { aliases: ['loaded lunge', 'dumbbell walking lunge'], load: held('hands', 2, ...loads), cycle: 2.2, easier: ['lunge', 'goblet-lunge'], harder: ['front-rack-lunge'] }),
  movement('goblet-lunge', lunging, { aliases: ['goblet reverse lunge'], load: held('goblet', 1, 'dumbbell', 'kettlebell', 'can', 'backpack'), cycle: 2.2, limit: ofLift('backSquat', 0.36, 0.3), easier: ['reverse-lunge'], harder: ['dumbbell-lunge'] }),
  movement('front-rack-lunge', lunging, { aliases: ['front rack reverse lunge'], load: held('rack', 1, 'barbell'), avoid: ['deep_knee', 'wrists'], muscles: { quads: 1, posterior: 0.7, trunk: 0.6, back: 0.3 }, limit: ofLift('backSquat', 0.48, 0.3), cycle: 2.5, skill: 1, easier: ['dumbbell-lunge', 'goblet-lunge'], harder: ['overhead-lunge'] }),
  movement('front-rack-walking-lunge', lunging, { load: held('rack', 2, ...loads), muscles: { quads: 1, posterior: 0.7, trunk: 0.6 }, limit: ofLift('backSquat', 0.45, 0.3), floor: [4, 1], cycle: 2.4, skill: 1, easier: ['walking-lunge', 'goblet-lunge'], harder: [] }),
  movement('back-rack-lunge', lunging, { load: held('back', 1, 'barbell', 'sandbag'), avoid: ['deep_knee', 'spinal_loading'], limit: ofLift('backSquat', 0.55, 0.3), cycle: 2.5, skill: 1, easier: ['dumbbell-lunge'], harder: [] }),
  movement('overhead-lunge', lunging, { load: held('overhead', 1, 'barbell', 'dumbbell', 'plate'), patterns: { lunge: 0.75, verticalPush: 0.25 }, muscles: { quads: 1, shoulders: 0.8, trunk: 0.6, posterior: 0.6 }, avoid: ['deep_knee', 'overhead'], overheadStanding: true, limit: ofLift('strictPress', 0.9), skill: 2, easier: ['dumbbell-lunge'], harder: [] }),
  movement('kneel-to-stand', lunging, { aliases: ['get-up lunge', 'kneeling to standing'], avoid: ['deep_knee', 'kneeling'], floor: [1, 1], rise: [0.32, 0], cycle: 3.2, limit: ofLift('backSquat', 0.45, 0.3), easier: ['reverse-lunge', 'step-up'], harder: [] }),
  movement('step-up', stepping, { aliases: ['box step-up', 'step up', 'step-ups'], avoid: ['deep_knee'], load: maybeHeld('hands', 2, ...loads), limit: ofLift('backSquat', 0.6, 0.32), easier: ['low-step-up', 'reverse-lunge'], harder: ['box-jump'] }),
  movement('low-step-up', stepping, { aliases: ['stair step-up', 'step-up low'], needs: 'box | stairs', avoid: [], rise: [0.13, 0], cycle: 1.5, limit: ofLift('backSquat', 0.95, 0.32), easier: [], harder: ['step-up'], standards: ['Step of at most 40 cm'] }),
  movement('dumbbell-step-up', stepping, { aliases: ['loaded step-up'], load: held('hands', 2, ...loads), limit: ofLift('backSquat', 0.5, 0.32), cycle: 2.5, easier: ['step-up'], harder: [] }),
  movement('step-over', stepping, { aliases: ['box step-over'], needs: 'box', floor: [2, 1], rise: [0.3, 0], cycle: 2.7, limit: ofLift('backSquat', 0.6, 0.32), easier: ['low-step-up'], harder: ['box-jump-over'] }),
  movement('calf-raise', lunging, { patterns: { jump: 1 }, muscles: { calves: 1 }, avoid: [], floor: [1, 1], side: 'both', rise: [0.05, 0.05], cycle: 1.2, limit: ofLift('backSquat', 1.4, 0.9), easier: [], harder: [], standards: ['Heels as high as they go'], noReps: ['Bouncing'], cautions: ['Hold on to something if balance is poor'] }),
];
