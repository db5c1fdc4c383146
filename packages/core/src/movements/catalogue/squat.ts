import { composite, held, maybeHeld, movement, ofLift, type Spec } from '../build';

/** Share of body mass that counts on both sides of the load share in squats: a fitted round figure, see docs/model.md. */
const bodyShare = 0.3;

const squatting: Spec = {
  family: 'squat',
  patterns: { squat: 1 },
  muscles: { quads: 1, posterior: 0.5, trunk: 0.25 },
  floor: [1, 1],
  avoid: ['deep_knee'],
  rise: [0.26, 0],
  cycle: 1.35,
  reset: 3,
  limit: ofLift('backSquat', 1, bodyShare),
  standards: ['Hip crease below the top of the knee', 'Stand to full hip and knee extension', 'Heels stay down, knees follow the toes'],
  noReps: ['Stopped above parallel', 'Not standing tall at the top'],
  cautions: ['Stop if the knee or low back hurts; shorten the depth rather than push through'],
};
const loaded: Spec = { ...squatting, rise: [0.26, 0.26], cycle: 2.4, reset: 5, muscles: { quads: 1, posterior: 0.6, trunk: 0.45 } };
const frontRack: Spec = { ...loaded, avoid: ['deep_knee', 'wrists'], standards: ['Elbows high, load over mid-foot'], muscles: { quads: 1, posterior: 0.5, trunk: 0.6, back: 0.3 } };
const thrusting: Spec = {
  ...loaded,
  family: 'thruster',
  patterns: { squat: 0.55, verticalPush: 0.45 },
  muscles: { quads: 0.9, shoulders: 1, posterior: 0.5, trunk: 0.5, arms: 0.4 },
  avoid: ['deep_knee', 'overhead', 'wrists'],
  rise: [0.26, 0.62],
  cycle: 2.6,
  overheadStanding: true,
  skill: 1,
  standards: ['Full squat, then straight into the press', 'Load locked out over the middle of the foot'],
  noReps: ['A pause that turns it into two movements', 'Elbows soft at the top'],
};
const airSquat = movement('air-squat', squatting, { aliases: ['squat', 'bodyweight squat', 'air squats'], harder: ['jumping-squat', 'goblet-squat'], easier: ['half-squat', 'squat-to-chair'] });
const halfAvoid = { avoid: [], easier: [], harder: ['air-squat'], rise: [0.15, 0] as const };

export const squats = [
  airSquat,
  movement('slow-air-squat', squatting, { aliases: ['tempo air squat'], cycle: 4.2, limit: ofLift('backSquat', 0.72, bodyShare), easier: ['air-squat'], standards: ['Three seconds down'] }),
  movement('one-and-a-quarter-squat', squatting, { aliases: ['1 1/4 squat', '1¼ squat'], rise: [0.34, 0], cycle: 2.1, limit: ofLift('backSquat', 0.8, bodyShare), easier: ['air-squat'] }),
  movement('half-squat', squatting, { ...halfAvoid, cycle: 1.2, limit: ofLift('backSquat', 1.5, bodyShare), standards: ['Thigh half way to parallel'] }),
  movement('squat-to-chair', squatting, { ...halfAvoid, aliases: ['chair squat', 'box squat'], needs: 'chair | box | bench | couch', rise: [0.2, 0], cycle: 1.7, limit: ofLift('backSquat', 1.25, bodyShare), standards: ['Sit lightly, stand without rocking'], cautions: ['Chair against a wall, so that it cannot slide'] }),
  movement('jumping-squat', squatting, { aliases: ['jump squat', 'squat jump'], patterns: { squat: 0.75, jump: 0.25 }, muscles: { quads: 1, posterior: 0.5, calves: 0.5, trunk: 0.2 }, avoid: ['deep_knee', 'jumping'], rise: [0.42, 0], cycle: 1.75, limit: ofLift('backSquat', 0.62, bodyShare), skill: 0, easier: ['air-squat'], standards: ['Feet leave the floor with hips open', 'Land softly, whole foot'], cautions: ['Landings add up: watch shins and knees'] }),
  movement('lateral-jump-squat', squatting, { aliases: ['lateral jump squat over object'], patterns: { squat: 0.65, jump: 0.35 }, avoid: ['deep_knee', 'jumping'], needs: 'object', floor: [2, 2], rise: [0.45, 0], cycle: 2.1, limit: ofLift('backSquat', 0.68, bodyShare), easier: ['jumping-squat', 'air-squat'], standards: ['Both feet clear the object'] }),
  movement('staggered-squat', squatting, { side: 'perSide', cycle: 1.6, limit: ofLift('backSquat', 0.8, bodyShare), easier: ['air-squat'], harder: ['assisted-pistol'], standards: ['Front heel level with back toes'] }),
  movement('assisted-pistol', squatting, { aliases: ['assisted single-leg squat'], side: 'alternating', needs: 'chair | box | bar | anchor | table | wall', cycle: 2.6, limit: ofLift('backSquat', 0.45, bodyShare), skill: 1, easier: ['air-squat', 'reverse-lunge'], harder: ['pistol'], standards: ['Free foot stays off the floor', 'Hand gives balance, not the lift'] }),
  movement('pistol', squatting, { aliases: ['single-leg squat', 'pistol squat'], side: 'alternating', cycle: 2.8, limit: ofLift('backSquat', 0.36, bodyShare), skill: 3, easier: ['assisted-pistol', 'reverse-lunge', 'air-squat'], standards: ['Hip crease below the knee of the standing leg', 'Free foot never touches'] }),
  movement('wall-sit', squatting, { unit: 's', needs: 'wall', avoid: [], rise: [0, 0], joulesPerKg: 6, cycle: 1, limit: ofLift('backSquat', 1.2, bodyShare), easier: [], harder: ['air-squat'], standards: ['Thighs level, back flat on the wall'], noReps: ['Hands on the thighs'] }),
  movement('goblet-squat', loaded, { aliases: ['goblet'], load: held('goblet', 1, 'dumbbell', 'kettlebell', 'can'), muscles: { quads: 1, posterior: 0.5, trunk: 0.55, arms: 0.3 }, limit: ofLift('backSquat', 0.5, bodyShare), cycle: 2.2, easier: ['air-squat'], harder: ['dumbbell-front-squat', 'front-squat'], standards: ['Weight held at the chest, elbows inside the knees'] }),
  movement('dumbbell-front-squat', frontRack, { aliases: ['dumbbell squat', 'db front squat', 'two-dumbbell squat'], load: held('rack', 2, 'dumbbell'), avoid: ['deep_knee'], limit: ofLift('backSquat', 0.68, bodyShare), easier: ['goblet-squat', 'air-squat'], harder: ['front-squat'] }),
  movement('kettlebell-front-squat', frontRack, { load: held('rack', 2, 'kettlebell'), avoid: ['deep_knee'], limit: ofLift('backSquat', 0.68, bodyShare), easier: ['goblet-squat', 'air-squat'], harder: ['front-squat'] }),
  movement('one-shoulder-squat', frontRack, { aliases: ['one dumbbell shoulder squat'], load: held('shoulder', 1, 'dumbbell', 'kettlebell', 'can'), avoid: ['deep_knee'], limit: ofLift('backSquat', 0.45, bodyShare), easier: ['goblet-squat'], standards: ['Change shoulders half way'] }),
  movement('front-squat', frontRack, { load: held('rack', 1, 'barbell'), limit: ofLift('backSquat', 0.85, bodyShare), skill: 1, easier: ['goblet-squat', 'dumbbell-front-squat', 'air-squat'], harder: ['overhead-squat'] }),
  movement('back-squat', loaded, { load: held('back', 1, 'barbell'), avoid: ['deep_knee', 'spinal_loading'], limit: ofLift('backSquat', 1, bodyShare), skill: 1, easier: ['goblet-squat', 'front-squat', 'air-squat'], harder: [], cautions: ['Know how to get out from under the bar before it is heavy'] }),
  movement('overhead-squat', loaded, { patterns: { squat: 0.8, verticalPush: 0.2 }, muscles: { quads: 1, shoulders: 0.6, trunk: 0.7, back: 0.4, posterior: 0.4 }, load: held('overhead', 1, 'barbell'), avoid: ['deep_knee', 'overhead', 'wrists'], overheadStanding: true, limit: ofLift('backSquat', 0.55, bodyShare), skill: 3, easier: ['front-squat', 'stick-overhead-squat'], harder: [] }),
  movement('stick-overhead-squat', loaded, { aliases: ['pvc overhead squat', 'broomstick overhead squat'], needs: 'stick | barbell', patterns: { squat: 0.9, verticalPush: 0.1 }, avoid: ['deep_knee', 'overhead'], overheadStanding: true, rise: [0.26, 0], limit: ofLift('backSquat', 0.8, bodyShare), skill: 1, easier: ['air-squat'], harder: ['overhead-squat'] }),
  movement('sandbag-squat', loaded, { aliases: ['bag squat', 'sandbag shoulder squat'], load: held('shoulder', 1, 'sandbag', 'backpack'), avoid: ['deep_knee', 'spinal_loading'], limit: ofLift('backSquat', 0.6, bodyShare), easier: ['goblet-squat', 'air-squat'], harder: ['back-squat'] }),
  movement('hug-squat', loaded, { aliases: ['bear hug squat', 'hugged bag squat', 'bear-hug sandbag squat'], load: held('hug', 1, 'sandbag', 'backpack', 'can'), avoid: ['deep_knee'], muscles: { quads: 1, posterior: 0.5, trunk: 0.75, arms: 0.5, back: 0.3 }, limit: ofLift('backSquat', 0.52, bodyShare), cycle: 2.7, easier: ['goblet-squat', 'air-squat'], harder: ['front-squat'] }),
  movement('thruster', thrusting, { load: held('rack', 1, 'barbell'), limit: ofLift('strictPress', 1.42), easier: ['dumbbell-thruster', 'push-press'], harder: [] }),
  movement('dumbbell-thruster', thrusting, { load: held('rack', 2, 'dumbbell', 'kettlebell'), avoid: ['deep_knee', 'overhead'], limit: ofLift('strictPress', 1.2), easier: ['goblet-thruster'], harder: ['thruster'] }),
  movement('goblet-thruster', thrusting, { aliases: ['single dumbbell thruster', 'one dumbbell thruster'], load: held('goblet', 1, 'dumbbell', 'kettlebell', 'can'), avoid: ['deep_knee', 'overhead'], limit: ofLift('strictPress', 0.85), skill: 0, easier: ['air-squat', 'jumping-squat'], harder: ['dumbbell-thruster'] }),
  movement('sandbag-thruster', thrusting, { load: held('hug', 1, 'sandbag', 'backpack'), avoid: ['deep_knee', 'overhead'], limit: ofLift('strictPress', 0.95), easier: ['goblet-thruster'], harder: ['thruster'] }),
  movement('thruster-to-chair', thrusting, { load: held('goblet', 1, 'dumbbell', 'kettlebell', 'can'), needs: 'chair | box', avoid: ['overhead'], rise: [0.2, 0.55], limit: ofLift('strictPress', 0.85), skill: 0, easier: ['squat-to-chair'], harder: ['goblet-thruster'] }),
  composite('lunge-lunge-squat', [{ of: movement('x', { ...squatting, patterns: { lunge: 1 }, rise: [0.22, 0], cycle: 1.8 }), times: 2 }, { of: airSquat, times: 1 }], { family: 'lunge', needs: '', limit: ofLift('backSquat', 0.42, 0.3), load: maybeHeld('hands', 2, 'dumbbell', 'kettlebell'), easier: ['air-squat'], harder: [] }),
  movement('any-squat', loaded, { load: maybeHeld('rack', 1, 'barbell', 'dumbbell', 'kettlebell', 'sandbag'), limit: ofLift('backSquat', 0.85, bodyShare), anyOf: 'squat' }),
];
