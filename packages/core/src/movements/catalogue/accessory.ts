/**
 * What coaches write beside the main work: curls and raises, throws and slams, pieces on the floor. They are done where they are written; nobody is sent one in place of
 * something else (`onlyAsWritten`). Rises, paces and limits are round figures (common practice, from memory).
 */
import { composite, ease, held, maybeHeld, movement, ofLift, ofSet, type Spec } from '../build';

const bells = ['dumbbell', 'kettlebell'] as const;
const asWritten: Spec = { onlyAsWritten: true, cautions: ['Stop the set when the form goes'] };

const raising: Spec = {
  ...asWritten,
  family: 'raise',
  patterns: { verticalPush: 1 },
  muscles: { shoulders: 1, trunk: 0.2 },
  rise: [0, 0.3],
  cycle: 2.4,
  limit: ofLift('strictPress', 0.28),
  standards: ['Arms nearly straight, no swing'],
  noReps: ['Swung from the hips'],
  cautions: ['Light: the shoulder is a small joint'],
};
const flying: Spec = { ...raising, family: 'fly', patterns: { horizontalPush: 1 }, muscles: { chest: 1, shoulders: 0.5 }, limit: ofLift('benchPress', 0.3), standards: ['Elbows soft, the same angle all the way'], noReps: ['Bent into a press'] };
const extending: Spec = { ...raising, family: 'extension', patterns: { verticalPush: 0.5, horizontalPush: 0.5 }, muscles: { arms: 1, shoulders: 0.3 }, rise: [0, 0.22], limit: ofLift('strictPress', 0.5), standards: ['Upper arms stay where they are'], noReps: ['Elbows drift'] };
const throwing: Spec = {
  ...asWritten,
  family: 'throw',
  patterns: { trunkFlexion: 0.5, verticalPush: 0.2, hinge: 0.3 },
  muscles: { trunk: 1, shoulders: 0.6, back: 0.7, quads: 0.5, posterior: 0.4 },
  load: held('goblet', 1, 'sandbag'),
  floor: [2, 2],
  avoid: ['overhead'],
  overheadStanding: true,
  fast: true,
  rise: [0.25, 0.9],
  cycle: 2.6,
  limit: ofLift('strictPress', 0.6),
  standards: ['Ball overhead, then down with the whole body'],
  noReps: ['Dropped, not thrown'],
  cautions: ['A ball that bounces comes back: face away; the floor and the neighbours hear it'],
};
const lowering: Spec = {
  ...asWritten,
  family: 'leg curl',
  patterns: { hinge: 1 },
  muscles: { posterior: 1, trunk: 0.3 },
  needs: 'anchor',
  avoid: ['kneeling'],
  rise: [0.25, 0],
  cycle: 4,
  skill: 1,
  limit: ofLift('deadlift', 0.3, 0.35),
  standards: ['Straight from knee to shoulder, as slow as it can be held'],
  noReps: ['Hips bend first'],
  cautions: ['Hamstrings cramp: few reps at first'],
};
const trunkOnFloor: Spec = {
  ...asWritten,
  family: 'trunk',
  patterns: { trunkBrace: 1 },
  muscles: { trunk: 1, shoulders: 0.3 },
  floor: [2, 1],
  rise: [0.1, 0],
  cycle: 2.4,
  limit: ofSet('sitUp', 0.8),
  standards: ['Low back stays where it is'],
  noReps: ['Hips sag'],
};
const stretching: Spec = {
  onlyAsWritten: true,
  prepareOnly: true,
  family: 'stretch',
  unit: 's',
  side: 'perSide',
  patterns: { mobility: 1 },
  muscles: { posterior: 1 },
  joulesPerKg: 1,
  cycle: 1,
  limit: ease(600),
  standards: ['Only so far that breathing stays calm'],
  cautions: ['No pain, no bouncing'],
};
const bodyHinge: Spec = { ...asWritten, family: 'hinge', patterns: { hinge: 0.7, trunkExtension: 0.3 }, muscles: { posterior: 1, trunk: 0.4 }, rise: [0.2, 0], cycle: 2.4, limit: ofLift('deadlift', 0.5, 0.4), standards: ['Long back, hips do the work'], noReps: ['Back rounds'] };
const burpeePart = movement('burpee-part', { patterns: { horizontalPush: 0.5, squat: 0.5 }, muscles: { chest: 0.8, quads: 0.8, shoulders: 0.6, trunk: 0.6 }, rise: [0.5, 0], cycle: 3, avoid: ['jumping', 'wrists', 'deep_knee'] });
const snatchPart = movement('two-bell-snatch-part', { patterns: { groundToOverhead: 1 }, muscles: { posterior: 1, shoulders: 0.8, back: 0.5, grip: 0.6, trunk: 0.4 }, rise: [0.15, 1], cycle: 2.4, avoid: ['overhead', 'spinal_loading'] });

export const accessories = [
  // curls, raises, presses of small muscles
  movement('lateral-raise', raising, { aliases: ['dumbbell lateral raise', 'side raise', 'side lateral raise'], load: held('hands', 2, 'dumbbell', 'can', 'plate') }),
  movement('front-raise', raising, { aliases: ['dumbbell front raise', 'plate raise', 'plate front raise'], load: held('hands', 1, 'dumbbell', 'plate', 'can') }),
  movement('bent-over-fly', raising, { aliases: ['reverse fly', 'rear delt fly', 'bent-over raise', 'rear delt raise'], patterns: { horizontalPull: 1 }, muscles: { back: 1, shoulders: 0.8 }, load: held('hands', 2, 'dumbbell', 'can', 'plate'), limit: ofLift('row', 0.2) }),
  movement('chest-fly', flying, { aliases: ['dumbbell fly', 'fly', 'dumbbell chest fly'], load: held('hands', 2, 'dumbbell', 'can') }),
  movement('pullover', flying, { aliases: ['dumbbell pullover', 'straight-arm pullover'], patterns: { verticalPull: 1 }, muscles: { back: 1, chest: 0.6, trunk: 0.4 }, load: held('hands', 1, 'dumbbell', 'kettlebell', 'plate'), limit: ofLift('row', 0.35) }),
  movement('triceps-extension', extending, { aliases: ['overhead triceps extension', 'triceps extensions', 'tricep extension', 'lying triceps extension'], load: held('hands', 1, 'dumbbell', 'kettlebell', 'barbell', 'band', 'can') }),
  movement('triceps-kickback', extending, { aliases: ['kickback', 'tricep kickback'], load: held('hands', 1, 'dumbbell', 'can'), limit: ofLift('strictPress', 0.18) }),
  movement('shrug', raising, { aliases: ['dumbbell shrug', 'barbell shrug'], patterns: { carry: 1 }, muscles: { back: 1, grip: 0.7 }, load: held('hands', 1, 'barbell', 'dumbbell', 'kettlebell'), rise: [0, 0.05], cycle: 1.8, limit: ofLift('deadlift', 0.8), standards: ['Arms long, shoulders to the ears'], noReps: ['Arms bend'] }),
  movement('upright-row', raising, { aliases: ['barbell upright row', 'dumbbell upright row'], load: held('hands', 1, 'barbell', 'dumbbell', 'kettlebell'), muscles: { shoulders: 1, back: 0.6, arms: 0.4 }, limit: ofLift('row', 0.5), avoid: ['overhead'], standards: ['Elbows lead, to the chest'] }),
  movement('face-pull', raising, { aliases: ['band face pull', 'face pulls'], patterns: { horizontalPull: 1 }, muscles: { back: 1, shoulders: 0.6 }, load: held('hands', 1, 'band'), needs: 'anchor', limit: ofLift('row', 0.35), standards: ['Hands to the temples, elbows high'] }),
  movement('rotating-dumbbell-press', raising, { aliases: ['rotating press', 'turning press'], muscles: { shoulders: 1, arms: 0.6, trunk: 0.3 }, load: held('hands', 2, 'dumbbell'), overheadStanding: true, avoid: ['overhead'], rise: [0, 0.35], limit: ofLift('strictPress', 0.75), standards: ['Palms turn from the face to the front, locked out'], noReps: ['Elbows soft at the top'] }),
  movement('band-press-out', raising, { aliases: ['anti-rotation press', 'anti rotation press', 'band anti-rotation press'], patterns: { trunkBrace: 1 }, muscles: { trunk: 1, shoulders: 0.4 }, load: held('hands', 1, 'band'), needs: 'anchor', side: 'perSide', rise: [0, 0.1], limit: ofLift('row', 0.4), standards: ['Arms out and back, the trunk does not turn'], noReps: ['Turned to the anchor'] }),
  movement('behind-the-neck-push-press', raising, { family: 'press', aliases: ['behind neck push press', 'behind the neck pp', 'behind neck pp', 'snatch-grip push press', 'snatch push press'], muscles: { shoulders: 1, arms: 0.6, trunk: 0.4, quads: 0.3 }, load: held('back', 1, 'barbell'), overheadStanding: true, fast: true, avoid: ['overhead', 'spinal_loading'], rise: [0.05, 0.35], cycle: 2.4, reset: 5, skill: 1, limit: ofLift('strictPress', 1.35), standards: ['From the back of the shoulders to locked out'], noReps: ['Pressed out'], cautions: ['Check the ceiling at full reach first'] }),
  movement('close-grip-bench-press', flying, { aliases: ['narrow-grip bench press', 'close grip bench'], family: 'press', muscles: { arms: 1, chest: 0.8, shoulders: 0.5 }, load: held('hands', 1, 'barbell'), needs: 'bench', floor: [2, 2], limit: ofLift('benchPress', 0.9), rise: [0, 0.24], standards: ['Bar to the chest, elbows by the ribs'], noReps: ['Bounced'], cautions: ['No bench press alone without something to catch the bar'] }),
  movement('incline-dumbbell-press', flying, { aliases: ['incline press', 'incline dumbbell bench press', 'incline bench press'], family: 'press', load: held('hands', 2, ...bells), needs: 'bench', floor: [2, 2], muscles: { chest: 1, shoulders: 0.8, arms: 0.5 }, limit: ofLift('benchPress', 0.75), rise: [0, 0.26], standards: ['Full range, locked out'], noReps: ['Half way down'] }),
  // throws, slams, ropes
  movement('slam-ball', throwing, { aliases: ['ball slam', 'med ball slam', 'medicine ball slam', 'slam'] }),
  movement('rotational-ball-throw', throwing, { aliases: ['rotational throw', 'side ball throw', 'rotational med ball throw', 'rotational wall throw'], patterns: { trunkRotation: 1 }, needs: 'wall', side: 'alternating', overheadStanding: false, avoid: [], rise: [0.05, 0.3], standards: ['From the hip, caught on the rebound'], noReps: ['Arms only'] }),
  movement('ball-chest-pass', throwing, { aliases: ['chest pass', 'med ball chest pass', 'wall chest pass'], patterns: { horizontalPush: 1 }, muscles: { chest: 1, arms: 0.6, trunk: 0.4 }, needs: 'wall', overheadStanding: false, avoid: [], rise: [0, 0.3], standards: ['From the chest, caught on the rebound'], noReps: ['Dropped'] }),
  movement('ball-over-shoulder', throwing, { aliases: ['sandbag over shoulder', 'bag over the shoulder', 'd-ball over shoulder', 'ball over the shoulder', 'sandbag over the shoulder', 'bag toss over shoulder'], patterns: { hinge: 0.6, groundToOverhead: 0.4 }, muscles: { posterior: 1, back: 0.8, trunk: 0.8, arms: 0.5 }, load: held('shoulder', 1, 'sandbag', 'backpack'), overheadStanding: false, avoid: ['spinal_loading'], rise: [0.2, 0.7], cycle: 4.5, side: 'alternating', limit: ofLift('clean', 0.8), standards: ['From the floor over the shoulder'], noReps: ['Rolled down the arm'], cautions: ['Nobody behind you'] }),
  movement('rope-waves', throwing, { aliases: ['battle rope', 'battle ropes', 'battle rope waves', 'rope wave'], unit: 's', patterns: { verticalPush: 0.4, trunkBrace: 0.6 }, muscles: { shoulders: 1, arms: 0.6, trunk: 0.8, grip: 0.6 }, load: null, needs: 'climbingRope', floor: [6, 1], overheadStanding: false, avoid: [], rise: [0, 0], joulesPerKg: 9, cycle: 1, limit: ofSet('plank', 1), standards: ['Waves reach the anchor'], noReps: ['Hands rest'] }),
  // from the floor with bells
  composite(
    'two-dumbbell-burpee-snatch',
    [
      { of: burpeePart, times: 1 },
      { of: snatchPart, times: 1 },
    ],
    { ...asWritten, family: 'burpee', aliases: ['devil press', 'devils press', 'devil presses', 'dumbbell burpee snatch', 'double dumbbell burpee snatch'], load: held('overhead', 2, ...bells), overheadStanding: true, fast: true, avoid: ['overhead', 'jumping', 'spinal_loading', 'deep_knee', 'wrists'], limit: ofLift('snatch', 0.85), skill: 1, floor: [2, 2], standards: ['Chest between the bells, then both from the floor to overhead'], noReps: ['Pressed out'], cautions: ['Bells flat on the floor; wrists straight under load'], easier: ['burpee-dumbbell-snatch'] },
  ),
  movement('dumbbell-burpee', throwing, { family: 'burpee', aliases: ['burpee with dumbbells', 'dumbbell burpees', 'burpee deadlift', 'dumbbell burpee deadlift'], patterns: { horizontalPush: 0.4, hinge: 0.6 }, muscles: { chest: 0.8, posterior: 1, quads: 0.8, grip: 0.5, trunk: 0.6 }, load: held('hands', 2, ...bells), overheadStanding: false, fast: false, avoid: ['wrists', 'deep_knee', 'jumping', 'spinal_loading'], rise: [0.6, 0.35], cycle: 4.2, limit: ofLift('deadlift', 0.5), standards: ['Chest to the floor between the bells, stand with both'], noReps: ['Hips not open'], cautions: ['Bells flat on the floor; wrists straight under load'] }),
  // lunges, squats and hinges
  movement('deep-side-squat', bodyHinge, { family: 'lunge', aliases: ['cossack squat', 'cossack', 'cossacks', 'cossack squats', 'side-to-side squat'], patterns: { lunge: 0.7, squat: 0.3 }, muscles: { quads: 1, posterior: 0.8 }, side: 'alternating', load: maybeHeld('goblet', 1, ...bells, 'plate'), floor: [1, 2], avoid: ['deep_knee'], rise: [0.25, 0.25], cycle: 3, limit: ofLift('backSquat', 0.4, 0.3), standards: ['Hip below the knee, other leg straight'], noReps: ['Heel of the bent leg lifts'] }),
  movement('skater-hop', bodyHinge, { family: 'jump', aliases: ['skater', 'skaters', 'skater jump', 'lateral bound', 'lateral bounds'], patterns: { jump: 0.6, lunge: 0.4 }, muscles: { quads: 1, posterior: 0.8, calves: 0.6 }, side: 'alternating', floor: [1, 2], avoid: ['jumping'], rise: [0.15, 0], cycle: 1.4, limit: ease(80), standards: ['One foot to the other, still for a moment'], noReps: ['Both feet land'], cautions: ['Soft landing, knee over the foot'] }),
  movement('star-jump', bodyHinge, { family: 'jump', aliases: ['star jumps'], patterns: { jump: 1 }, muscles: { quads: 1, calves: 0.7, shoulders: 0.4 }, floor: [2, 2], avoid: ['jumping'], rise: [0.35, 0], cycle: 1.8, limit: ease(60), standards: ['Arms and legs wide in the air'], noReps: ['Feet land apart'], cautions: ['Soft landing, soft floor for the neighbours'] }),
  movement('frog-jump', bodyHinge, { family: 'jump', aliases: ['frog jumps', 'frog hop'], patterns: { jump: 0.7, squat: 0.3 }, muscles: { quads: 1, posterior: 0.7, calves: 0.6 }, floor: [3, 1], avoid: ['jumping', 'deep_knee'], rise: [0.4, 0], cycle: 2.2, limit: ease(40), standards: ['Hands to the floor, both feet land'], noReps: ['Hands stay up'], cautions: ['Soft landing, knees over the feet'] }),
  movement('ghd-back-extension', bodyHinge, { name: 'GHD back extension', aliases: ['hip extension', 'ghd hip extension', 'bench back extension'], needs: 'bench & anchor', load: maybeHeld('hug', 1, 'plate', 'dumbbell') }),
  movement('ghd-sit-up', trunkOnFloor, { name: 'GHD sit-up', aliases: ['ghd situp', 'ghd', 'glute-ham sit-up', 'bench sit-up with anchored feet'], patterns: { trunkFlexion: 1 }, muscles: { trunk: 1, quads: 0.5 }, needs: 'bench & anchor', rise: [0.3, 0], cycle: 2.6, skill: 1, limit: ofSet('sitUp', 0.55), avoid: ['spinal_loading'], standards: ['Hands behind the head line, then to the feet'], noReps: ['Short of the feet'], cautions: ['Build the count over weeks: too many at once can harm; dark urine afterwards: see a doctor now'] }),
  movement('kneeling-leg-lower', lowering, { aliases: ['nordic', 'nordics', 'nordic curl', 'nordic hamstring curl', 'nordic hamstring'] }),
  movement('band-leg-curl', lowering, { aliases: ['leg curl', 'hamstring curl', 'lying leg curl'], load: held('feet', 1, 'band'), avoid: [], skill: 0, cycle: 2.4, limit: ofLift('deadlift', 0.2), rise: [0, 0.1], standards: ['Heel to the seat and back under control'], noReps: ['Snapped back'] }),
  movement('hip-raise-march', bodyHinge, { aliases: ['glute bridge march', 'bridge march'], side: 'alternating', muscles: { posterior: 1, trunk: 0.5 }, rise: [0.06, 0], cycle: 1.6, limit: ease(80), standards: ['Hips stay high and level'], noReps: ['Hips drop'] }),
  movement('clamshell', bodyHinge, { aliases: ['clamshells', 'banded clamshell'], side: 'perSide', muscles: { posterior: 1 }, load: maybeHeld('worn', 1, 'band'), rise: [0.03, 0], cycle: 1.6, limit: ease(80), standards: ['Feet together, pelvis still'], noReps: ['Rolled back'] }),
  movement('toe-raise', bodyHinge, { aliases: ['shin raise', 'tibialis raise', 'tib raise', 'tib raises'], patterns: { mobility: 1 }, muscles: { calves: 1 }, needs: 'wall', rise: [0.02, 0], cycle: 1.4, limit: ease(80), standards: ['Back on the wall, toes to the shins'], noReps: ['Hips leave the wall'] }),
  movement('rack-pull', bodyHinge, { aliases: ['block pull', 'deadlift from blocks', 'deadlift from the rack'], load: held('hands', 1, 'barbell'), avoid: ['spinal_loading'], drops: true, muscles: { posterior: 1, back: 0.8, grip: 0.8, trunk: 0.5 }, rise: [0.08, 0.2], cycle: 2.6, limit: ofLift('deadlift', 1.1), standards: ['From knee height to full extension'], noReps: ['Hitched'] }),
  // trunk
  movement('star-plank', trunkOnFloor, { aliases: ['star side plank', 'side star plank'], unit: 's', side: 'perSide', avoid: ['wrists'], rise: [0, 0], joulesPerKg: 4, cycle: 1, limit: ofSet('plank', 0.35), standards: ['Top arm and leg raised'], noReps: ['Hips sag'] }),
  movement('bear-plank', trunkOnFloor, { aliases: ['bear hold', 'beast hold', 'bear plank hold'], unit: 's', avoid: ['wrists'], rise: [0, 0], joulesPerKg: 4.5, cycle: 1, limit: ofSet('plank', 0.6), standards: ['Knees a hand above the floor, back flat'], noReps: ['Knees touch'] }),
  movement('inner-thigh-plank', trunkOnFloor, { aliases: ['adductor plank', 'adductor side plank'], unit: 's', side: 'perSide', needs: 'bench | chair | box', rise: [0, 0], joulesPerKg: 4, cycle: 1, limit: ofSet('plank', 0.3), standards: ['Top leg on the edge, body straight'], noReps: ['Hips sag'] }),
  movement('straight-leg-sit-up', trunkOnFloor, { aliases: ['straight leg sit-up', 'straight-leg situp'], patterns: { trunkFlexion: 1 }, muscles: { trunk: 1, quads: 0.4 }, rise: [0.25, 0], cycle: 2.6, standards: ['Legs straight, hands past the knees'], noReps: ['Knees bend'] }),
  movement('toe-touch-crunch', trunkOnFloor, { aliases: ['toe touch', 'toe touches', 'lying toe touch'], patterns: { trunkFlexion: 1 }, rise: [0.1, 0], cycle: 1.6, standards: ['Shoulder blades leave the floor, hands to the feet'], noReps: ['Legs drop'] }),
  movement('scissor-kick', trunkOnFloor, { aliases: ['scissor kicks', 'scissors'], patterns: { trunkFlexion: 1 }, rise: [0.03, 0], cycle: 0.7, small: true, limit: ofSet('sitUp', 2), standards: ['Legs straight, low back down'], noReps: ['Feet touch the floor'] }),
  movement('wood-chop', trunkOnFloor, { aliases: ['woodchop', 'wood chops', 'woodchopper', 'band woodchop', 'dumbbell woodchop'], patterns: { trunkRotation: 1 }, muscles: { trunk: 1, shoulders: 0.5 }, side: 'perSide', load: held('hands', 1, 'dumbbell', 'kettlebell', 'plate', 'band'), rise: [0.05, 0.4], cycle: 2.2, limit: ofLift('strictPress', 0.4), standards: ['From high outside to low outside, arms long'], noReps: ['Arms bend'] }),
  movement('kettlebell-halo', trunkOnFloor, { aliases: ['halo', 'halos', 'plate halo', 'around the head'], patterns: { verticalPush: 0.5, trunkBrace: 0.5 }, muscles: { shoulders: 1, trunk: 0.6 }, load: held('hands', 1, 'kettlebell', 'plate', 'dumbbell'), avoid: ['overhead'], rise: [0, 0.2], cycle: 3, limit: ofLift('strictPress', 0.3), standards: ['Close around the head, ribs down'], noReps: ['Back arches'] }),
  movement('windmill', trunkOnFloor, { aliases: ['kettlebell windmill', 'dumbbell windmill', 'windmills'], patterns: { hinge: 0.5, trunkRotation: 0.5 }, muscles: { trunk: 1, shoulders: 0.8, posterior: 0.6 }, side: 'perSide', load: held('overhead', 1, ...bells), overheadStanding: true, avoid: ['overhead'], skill: 1, rise: [0.2, 0], cycle: 5, limit: ofLift('strictPress', 0.4), standards: ['Eyes on the bell, arm straight, hand to the foot'], noReps: ['Arm bends'] }),
  movement('hanging-l-raise', trunkOnFloor, { aliases: ['hanging l raise', 'l-raise', 'hanging l-sit raise'], patterns: { trunkFlexion: 1 }, muscles: { trunk: 1, grip: 0.7, back: 0.3 }, needs: 'bar', avoid: ['hanging'], rise: [0.2, 0], cycle: 2.8, skill: 1, limit: ofSet('toesToBar', 1.3), standards: ['Straight legs to the level'], noReps: ['Swung'] }),
  // stretches with names of their own
  movement('pigeon-stretch', stretching, { aliases: ['pigeon', 'pigeon pose'] }),
  movement('couch-stretch', stretching, { aliases: ['couch stretch', 'wall hip stretch', 'rear-foot hip stretch'], muscles: { quads: 1 } }),
];
