import { composite, held, movement, ofLift, type Spec } from '../build';

const bar = held('rack', 1, 'barbell');
const lifting: Spec = {
  family: 'clean and snatch',
  patterns: { groundToOverhead: 0.5, hinge: 0.5 },
  muscles: { posterior: 1, quads: 0.6, back: 0.6, grip: 0.6, shoulders: 0.4, trunk: 0.4 },
  floor: [2, 2],
  avoid: ['spinal_loading', 'wrists'],
  rise: [0.2, 0.72],
  cycle: 3,
  reset: 5,
  drops: true,
  skill: 2,
  limit: ofLift('clean', 1),
  standards: ['Start with the load on the floor', 'Caught on the shoulders, elbows in front', 'Stand to full extension'],
  noReps: ['Pressed out or curled up', 'Not standing tall with control'],
  cautions: ['Technique goes before speed: singles when the pull gets slow'],
};
const hang: Spec = { ...lifting, rise: [0.12, 0.45], cycle: 2.5, standards: ['Start above the knee', 'Caught on the shoulders', 'Stand to full extension'] };
const light: Spec = { drops: false, skill: 1, avoid: ['spinal_loading'] };
const snatching: Spec = { ...lifting, patterns: { groundToOverhead: 1 }, muscles: { posterior: 1, shoulders: 0.7, back: 0.6, grip: 0.7, quads: 0.5, trunk: 0.4 }, rise: [0.2, 1.05], overheadStanding: true, avoid: ['spinal_loading', 'overhead', 'wrists'], limit: ofLift('snatch', 1), cycle: 3.1, standards: ['One movement from floor to overhead', 'Locked out, head through'], noReps: ['Pressed out', 'Stopped on the shoulder'] };

const powerClean = movement('power-clean', lifting, { load: bar, limit: ofLift('clean', 0.88), easier: ['hang-power-clean', 'dumbbell-power-clean'], harder: ['squat-clean'] });
const hangClean = movement('hang-clean', hang, { load: bar, limit: ofLift('clean', 0.92), easier: ['hang-power-clean'], harder: ['squat-clean'] });
const clean = movement('clean', lifting, { load: bar, aliases: ['barbell clean'], cycle: 3.4, rise: [0.3, 0.72], limit: ofLift('clean', 1), easier: ['power-clean', 'dumbbell-squat-clean'], harder: [] });
const hangPowerClean = movement('hang-power-clean', hang, { load: bar, limit: ofLift('clean', 0.82), easier: ['dumbbell-hang-power-clean'], harder: ['power-clean'] });
const overhead: Spec = { family: 'press', patterns: { verticalPush: 1 }, muscles: { shoulders: 1, arms: 0.6, trunk: 0.4, quads: 0.3 }, rise: [0.05, 0.36], overheadStanding: true, avoid: ['overhead', 'wrists'], limit: ofLift('strictPress', 1.45), cycle: 2.3, reset: 5, standards: ['Locked out over the middle of the foot'], noReps: ['Elbows soft at the top'], cautions: ['Check the ceiling at full reach first'] };
const jerkOf = (id: string, own: Spec) => movement(id, overhead, { floor: [1, 1], skill: 2, rise: [0.1, 0.36], ...own });
const jerk = jerkOf('jerk', { aliases: ['barbell jerk', 'shoulder to overhead'], load: held('rack', 1, 'barbell'), limit: ofLift('strictPress', 1.55), easier: ['push-press', 'push-jerk'], harder: [] });
const dumbbellPress = movement('dumbbell-clean-part', overhead, { limit: ofLift('strictPress', 0.85) });
const dumbbellHangPowerClean = movement('dumbbell-hang-power-clean', hang, { ...light, load: held('rack', 2, 'dumbbell', 'kettlebell'), limit: ofLift('clean', 0.74), cycle: 2, easier: ['single-dumbbell-hang-clean'], harder: ['hang-power-clean'] });
const dumbbellPowerClean = movement('dumbbell-power-clean', lifting, { ...light, load: held('rack', 2, 'dumbbell', 'kettlebell'), rise: [0.2, 0.65], limit: ofLift('clean', 0.78), cycle: 2.5, easier: ['dumbbell-hang-power-clean'], harder: ['power-clean'] });
export const olympicLifts = [
  powerClean,
  hangPowerClean,
  hangClean,
  clean,
  movement('squat-clean', lifting, { load: bar, aliases: ['full clean'], patterns: { hinge: 0.4, squat: 0.4, groundToOverhead: 0.2 }, muscles: { posterior: 0.9, quads: 1, back: 0.5, grip: 0.5, trunk: 0.5 }, avoid: ['spinal_loading', 'wrists', 'deep_knee'], rise: [0.38, 0.85], cycle: 3.9, easier: ['power-clean', 'dumbbell-squat-clean', 'front-squat'], harder: [] }),
  movement('muscle-clean', lifting, { load: bar, limit: ofLift('clean', 0.6), drops: false, easier: ['dumbbell-hang-power-clean'], harder: ['power-clean'] }),
  movement('clean-pull', lifting, { aliases: ['high pull', 'clean high pull'], load: held('hands', 1, 'barbell'), limit: ofLift('clean', 1.05), skill: 1, rise: [0.2, 0.6], easier: ['kettlebell-high-pull'], harder: ['power-clean'], standards: ['Full extension, elbows high'] }),
  movement('kettlebell-high-pull', hang, { load: held('hands', 1, 'kettlebell', 'dumbbell'), ...light, limit: ofLift('clean', 0.5), cycle: 2, easier: ['kettlebell-swing', 'dumbbell-swing'], harder: ['clean-pull'] }),
  dumbbellPowerClean,
  dumbbellHangPowerClean,
  movement('dumbbell-squat-clean', lifting, { ...light, load: held('rack', 2, 'dumbbell', 'kettlebell'), patterns: { hinge: 0.4, squat: 0.4, groundToOverhead: 0.2 }, muscles: { posterior: 0.8, quads: 1, grip: 0.6, trunk: 0.5, back: 0.4 }, avoid: ['spinal_loading', 'deep_knee'], rise: [0.38, 0.75], limit: ofLift('clean', 0.78), cycle: 3.3, easier: ['dumbbell-front-squat', 'jumping-squat'], harder: ['squat-clean'] }),
  movement('single-dumbbell-hang-clean', hang, { aliases: ['single dumbbell clean', 'single-arm dumbbell clean'], ...light, side: 'alternating', load: held('shoulder', 1, 'dumbbell', 'kettlebell'), limit: ofLift('clean', 0.36), cycle: 2, easier: ['dumbbell-swing'], harder: ['dumbbell-hang-power-clean'] }),
  movement('sandbag-clean', lifting, { ...light, aliases: ['bag clean'], load: held('hug', 1, 'sandbag', 'backpack'), limit: ofLift('clean', 0.72), muscles: { posterior: 1, trunk: 0.8, arms: 0.5, back: 0.6, quads: 0.5 }, cycle: 3.4, easier: ['sandbag-deadlift'], harder: ['power-clean'] }),
  movement('bag-to-shoulder', lifting, { ...light, aliases: ['bag lift to shoulder', 'sandbag to shoulder', 'bag over shoulder'], side: 'alternating', load: held('shoulder', 1, 'sandbag', 'backpack', 'can'), limit: ofLift('clean', 0.8), muscles: { posterior: 1, trunk: 0.8, arms: 0.6, back: 0.6, quads: 0.5 }, cycle: 4, reset: 4, easier: ['sandbag-deadlift'], harder: ['power-clean'] }),
  movement('snatch', snatching, { load: held('overhead', 1, 'barbell'), aliases: ['squat snatch'], avoid: ['spinal_loading', 'overhead', 'wrists', 'deep_knee'], skill: 3, easier: ['power-snatch', 'dumbbell-snatch'], harder: [] }),
  movement('power-snatch', snatching, { load: held('overhead', 1, 'barbell'), limit: ofLift('snatch', 0.88), skill: 2, easier: ['hang-power-snatch', 'dumbbell-snatch'], harder: ['snatch'] }),
  movement('hang-power-snatch', snatching, { load: held('overhead', 1, 'barbell'), limit: ofLift('snatch', 0.82), rise: [0.12, 0.75], cycle: 2.6, easier: ['dumbbell-snatch'], harder: ['power-snatch'] }),
  movement('dumbbell-snatch', snatching, { ...light, avoid: ['spinal_loading', 'overhead'], aliases: ['alternating dumbbell snatch', 'db snatch', 'single-arm dumbbell snatch'], side: 'alternating', load: held('overhead', 1, 'dumbbell', 'kettlebell'), limit: ofLift('snatch', 0.56), rise: [0.18, 0.95], cycle: 2.1, reset: 4, easier: ['dumbbell-hang-snatch', 'dumbbell-swing'], harder: ['power-snatch'] }),
  movement('kettlebell-snatch', snatching, { ...light, avoid: ['spinal_loading', 'overhead'], side: 'alternating', load: held('overhead', 1, 'kettlebell'), limit: ofLift('snatch', 0.5), rise: [0.12, 0.85], cycle: 2.2, skill: 2, easier: ['dumbbell-snatch', 'kettlebell-swing'], harder: [] }),
  movement('dumbbell-hang-snatch', snatching, { ...light, avoid: ['overhead'], side: 'alternating', load: held('overhead', 1, 'dumbbell', 'kettlebell'), limit: ofLift('snatch', 0.5), rise: [0.1, 0.72], cycle: 1.9, easier: ['dumbbell-swing'], harder: ['dumbbell-snatch'] }),
  jerk,
  jerkOf('push-jerk', { load: held('rack', 1, 'barbell'), limit: ofLift('strictPress', 1.5), easier: ['push-press'], harder: ['jerk'] }),
  jerkOf('split-jerk', { load: held('rack', 1, 'barbell'), limit: ofLift('strictPress', 1.6), skill: 3, floor: [2, 1], easier: ['push-jerk'], harder: [] }),
  composite('clean-and-jerk', [{ of: clean, times: 1 }, { of: jerk, times: 1 }], { load: bar, limit: ofLift('clean', 0.95), family: 'clean and snatch', aliases: ['ground to overhead'], easier: ['clean-and-press', 'dumbbell-clean-and-press'], harder: [] }),
  composite('clean-and-press', [{ of: powerClean, times: 1 }, { of: movement('press-part', overhead), times: 1 }], { load: bar, limit: ofLift('strictPress', 1.1), family: 'clean and snatch', aliases: ['clean & press'], skill: 1, easier: ['dumbbell-clean-and-press'], harder: ['clean-and-jerk'] }),
  composite('hang-clean-and-jerk', [{ of: hangClean, times: 1 }, { of: jerk, times: 1 }], { load: bar, limit: ofLift('clean', 0.88), family: 'clean and snatch', easier: ['dumbbell-clean-and-press'], harder: ['clean-and-jerk'] }),
  composite('dumbbell-clean-and-press', [{ of: dumbbellPowerClean, times: 1 }, { of: dumbbellPress, times: 1 }], { load: held('rack', 2, 'dumbbell', 'kettlebell'), avoid: ['spinal_loading', 'overhead'], limit: ofLift('strictPress', 0.95), family: 'clean and snatch', aliases: ['dumbbell ground to overhead', 'dumbbell clean and jerk'], skill: 1, easier: ['single-dumbbell-clean-and-press'], harder: ['clean-and-press'] }),
  composite('single-dumbbell-clean-and-press', [{ of: dumbbellHangPowerClean, times: 1 }, { of: dumbbellPress, times: 1 }], { load: held('shoulder', 1, 'dumbbell', 'kettlebell'), side: 'alternating', avoid: ['spinal_loading', 'overhead'], limit: ofLift('strictPress', 0.48), family: 'clean and snatch', aliases: ['single-arm clean and press', 'single-arm dumbbell clean and press'], skill: 1, easier: ['dumbbell-snatch'], harder: ['dumbbell-clean-and-press'] }),
  composite('squat-clean-thruster', [{ of: powerClean, times: 1 }, { of: movement('thruster-part', overhead, { rise: [0.26, 0.62], cycle: 2.6, avoid: ['overhead', 'deep_knee', 'wrists'] }), times: 1 }], { load: bar, limit: ofLift('strictPress', 1.2), family: 'clean and snatch', aliases: ['cluster'], easier: ['thruster', 'dumbbell-clean-and-press'], harder: [] }),
];
