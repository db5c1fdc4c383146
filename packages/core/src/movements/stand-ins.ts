/**
 * What stands in for a movement that cannot be done, nearest first (common practice; the conversions of the trade where they name one). The steps are a coach's:
 * the same movement with another implement, a shorter range or one side at a time, another position of the same pattern, the pattern without its load,
 * the same muscles, the same breath. Within a step the order is the order of choice, where effort does not decide.
 */
import type { MovementId } from './movement';

export const nearness = ['written', 'implement', 'range', 'position', 'unloaded', 'muscles', 'breath', 'likeness'] as const;
export type Nearness = (typeof nearness)[number];
type Step = Exclude<Nearness, 'written' | 'likeness'>;
/** `of`: the movements the row is for; they may also stand among the others of the row, and are passed over for themselves. */
interface Row extends Readonly<Partial<Record<Step, string>>> {
  readonly of: string;
}

const quietBreath =
  'low-step-up step-up mountain-climber stepping-jack sliding-mountain-climber calf-raise lateral-shuffle jog-on-the-spot high-knees step-back-burpee march-on-the-spot';

const rows: readonly Row[] = [
  // squats and what is pressed out of them
  {
    of: 'thruster dumbbell-thruster kettlebell-thruster goblet-thruster sandbag-thruster wall-ball-squat squat-clean-thruster dumbbell-squat-clean-thruster',
    implement: 'thruster dumbbell-thruster kettlebell-thruster goblet-thruster sandbag-thruster',
    range: 'single-arm-thruster thruster-to-chair band-thruster',
    position: 'dumbbell-front-squat kettlebell-front-squat front-squat goblet-squat hug-squat sandbag-squat goblet-squat-to-chair',
    unloaded: 'air-squat jumping-squat squat-to-chair half-squat',
    muscles: 'dumbbell-push-press push-press seated-dumbbell-press seated-single-arm-press half-kneeling-press wall-sit',
  },
  {
    of: 'single-arm-thruster',
    implement: 'goblet-thruster dumbbell-thruster kettlebell-thruster sandbag-thruster thruster',
    range: 'thruster-to-chair band-thruster',
    position: 'goblet-squat dumbbell-front-squat hug-squat goblet-squat-to-chair',
    unloaded: 'air-squat jumping-squat squat-to-chair half-squat',
  },
  {
    of: 'front-squat dumbbell-front-squat kettlebell-front-squat goblet-squat one-shoulder-squat overhead-squat overhead-dumbbell-squat stick-overhead-squat any-squat hug-squat',
    implement: 'front-squat dumbbell-front-squat kettlebell-front-squat goblet-squat hug-squat sandbag-squat one-shoulder-squat back-squat',
    range: 'goblet-squat-to-chair box-squat raised-split-squat split-squat',
    position: 'dumbbell-lunge goblet-lunge hug-lunge single-dumbbell-lunge dumbbell-step-up',
    unloaded: 'air-squat jumping-squat squat-to-chair half-squat reverse-lunge',
    muscles: 'loaded-wall-sit wall-sit hip-thrust low-step-up',
  },
  {
    of: 'back-squat sandbag-squat box-squat',
    implement: 'back-squat front-squat dumbbell-front-squat kettlebell-front-squat sandbag-squat hug-squat goblet-squat',
    range: 'box-squat raised-split-squat goblet-squat-to-chair split-squat',
    position: 'dumbbell-lunge goblet-lunge hug-lunge single-dumbbell-lunge dumbbell-step-up assisted-pistol',
    unloaded: 'air-squat jumping-squat squat-to-chair half-squat reverse-lunge',
    muscles: 'loaded-wall-sit wall-sit hip-thrust low-step-up',
  },
  {
    of: 'goblet-squat-to-chair',
    implement: 'box-squat',
    range: 'squat-to-chair half-squat',
    unloaded: 'squat-to-chair half-squat',
    muscles: 'loaded-wall-sit wall-sit hip-thrust',
  },
  {
    of: 'air-squat slow-air-squat paused-air-squat one-and-a-quarter-squat staggered-squat good-morning-squat',
    range: 'air-squat half-squat squat-to-chair',
    position: 'low-step-up reverse-lunge lunge step-up kneel-to-stand',
    muscles: 'wall-sit hip-thrust',
  },
  { of: 'half-squat squat-to-chair', range: 'squat-to-chair half-squat', position: 'low-step-up', muscles: 'hip-thrust wall-sit calf-raise' },
  {
    of: 'jumping-squat lateral-jump-squat tuck-jump broad-jump',
    implement: 'jumping-squat',
    range: 'air-squat',
    position: 'step-up half-squat squat-to-chair low-step-up',
    muscles: 'calf-raise hip-thrust',
  },
  {
    of: 'pistol assisted-pistol pistol-to-box',
    range: 'pistol-to-box assisted-pistol',
    position: 'reverse-lunge raised-split-squat lunge split-squat step-up low-step-up squat-to-chair air-squat half-squat',
    muscles: 'single-leg-hip-thrust hip-thrust',
  },
  { of: 'wall-sit loaded-wall-sit', implement: 'wall-sit', position: 'half-squat squat-to-chair air-squat', muscles: 'hip-thrust' },
  // lunges and steps
  {
    of: 'lunge reverse-lunge walking-lunge lateral-lunge curtsy-lunge lunge-with-pause lunge-lunge-squat',
    implement: 'lunge reverse-lunge',
    range: 'split-squat',
    position: 'low-step-up step-up air-squat squat-to-chair half-squat',
    muscles: 'single-leg-hip-thrust hip-thrust calf-raise',
  },
  {
    of: 'dumbbell-lunge goblet-lunge front-rack-lunge front-rack-walking-lunge back-rack-lunge overhead-lunge single-dumbbell-lunge hug-lunge',
    implement: 'dumbbell-lunge front-rack-lunge back-rack-lunge goblet-lunge single-dumbbell-lunge hug-lunge front-rack-walking-lunge',
    range: 'raised-split-squat split-squat',
    position: 'dumbbell-step-up goblet-squat dumbbell-front-squat',
    unloaded: 'reverse-lunge lunge step-up low-step-up squat-to-chair half-squat',
    muscles: 'single-leg-hip-thrust hip-thrust',
  },
  {
    of: 'split-squat raised-split-squat',
    implement: 'back-rack-split-squat goblet-split-squat',
    range: 'raised-split-squat split-squat',
    position: 'reverse-lunge lunge assisted-pistol step-up low-step-up squat-to-chair half-squat',
    muscles: 'single-leg-hip-thrust hip-thrust',
  },
  {
    of: 'jumping-lunge',
    range: 'reverse-lunge lunge',
    position: 'step-up low-step-up air-squat squat-to-chair half-squat',
    muscles: 'single-leg-hip-thrust hip-thrust',
  },
  { of: 'kneel-to-stand', position: 'reverse-lunge step-up low-step-up squat-to-chair half-squat', muscles: 'hip-thrust' },
  {
    of: 'step-up low-step-up step-over',
    range: 'step-up low-step-up',
    position: 'reverse-lunge lunge squat-to-chair air-squat half-squat',
    muscles: 'calf-raise hip-thrust',
    breath: 'march-on-the-spot',
  },
  {
    of: 'dumbbell-step-up box-step-over-with-load',
    implement: 'dumbbell-step-up',
    range: 'dumbbell-lunge goblet-lunge single-dumbbell-lunge',
    unloaded: 'step-up low-step-up reverse-lunge squat-to-chair half-squat',
    muscles: 'hip-thrust calf-raise',
  },
  {
    of: 'box-jump box-jump-over',
    implement: 'box-jump box-jump-over',
    range: 'step-up step-over low-step-up',
    position: 'jumping-squat air-squat squat-to-chair half-squat reverse-lunge',
    muscles: 'calf-raise hip-thrust',
  },
  // hinges
  {
    of: 'deadlift dumbbell-deadlift double-kettlebell-deadlift kettlebell-deadlift sandbag-deadlift sumo-deadlift deficit-deadlift snatch-grip-deadlift',
    implement: 'deadlift sumo-deadlift sandbag-deadlift dumbbell-deadlift double-kettlebell-deadlift kettlebell-deadlift',
    range: 'romanian-deadlift dumbbell-romanian-deadlift backpack-romanian-deadlift suitcase-deadlift single-leg-romanian-deadlift',
    position: 'barbell-hip-thrust band-deadlift band-hinge kettlebell-swing dumbbell-swing band-good-morning hip-thrust',
    unloaded: 'single-leg-hip-thrust hip-thrust balance-hinge',
    muscles: 'prone-arch squat-to-chair half-squat',
  },
  {
    of: 'romanian-deadlift dumbbell-romanian-deadlift straight-leg-deadlift good-morning dumbbell-good-morning backpack-romanian-deadlift suitcase-deadlift',
    implement: 'romanian-deadlift dumbbell-romanian-deadlift backpack-romanian-deadlift dumbbell-good-morning',
    range: 'single-leg-romanian-deadlift suitcase-deadlift',
    position: 'kettlebell-deadlift dumbbell-deadlift band-hinge band-good-morning barbell-hip-thrust hip-thrust',
    unloaded: 'single-leg-hip-thrust hip-thrust balance-hinge',
  },
  {
    of: 'single-leg-romanian-deadlift balance-hinge single-leg-rdl-to-row',
    range: 'single-leg-romanian-deadlift balance-hinge',
    position: 'single-leg-hip-thrust dumbbell-romanian-deadlift backpack-romanian-deadlift hip-thrust',
  },
  {
    of: 'hip-thrust single-leg-hip-thrust barbell-hip-thrust',
    implement: 'barbell-hip-thrust hip-thrust',
    range: 'single-leg-hip-thrust',
    position: 'balance-hinge',
    muscles: 'prone-arch reverse-plank',
  },
  {
    of: 'kettlebell-swing overhead-kettlebell-swing dumbbell-swing overhead-dumbbell-swing double-dumbbell-swing backpack-swing',
    implement: 'kettlebell-swing dumbbell-swing double-dumbbell-swing backpack-swing',
    range: 'single-arm-kettlebell-swing single-arm-dumbbell-swing',
    position: 'band-hinge kettlebell-high-pull sandbag-deadlift dumbbell-deadlift kettlebell-deadlift romanian-deadlift',
    unloaded: 'single-leg-hip-thrust hip-thrust balance-hinge',
    muscles: 'squat-to-chair half-squat',
  },
  {
    of: 'single-arm-kettlebell-swing single-arm-dumbbell-swing',
    implement: 'single-arm-kettlebell-swing single-arm-dumbbell-swing',
    range: 'kettlebell-swing dumbbell-swing backpack-swing',
    position: 'band-hinge kettlebell-deadlift sandbag-deadlift',
    unloaded: 'single-leg-hip-thrust hip-thrust balance-hinge',
  },
  // cleans, snatches, jerks
  {
    of: 'power-clean clean muscle-clean dumbbell-power-clean double-kettlebell-clean sandbag-clean bag-to-shoulder alternating-dumbbell-clean kettlebell-clean',
    implement:
      'power-clean hang-power-clean dumbbell-power-clean double-kettlebell-clean dumbbell-hang-power-clean sandbag-clean kettlebell-clean alternating-dumbbell-clean single-dumbbell-hang-clean bag-to-shoulder',
    range: 'clean-pull kettlebell-high-pull sumo-deadlift-high-pull',
    position: 'kettlebell-swing dumbbell-swing backpack-swing sandbag-deadlift dumbbell-deadlift kettlebell-deadlift band-hinge',
    unloaded: 'single-leg-hip-thrust hip-thrust jumping-squat air-squat balance-hinge',
    muscles: 'squat-to-chair half-squat',
  },
  {
    of: 'hang-power-clean hang-clean dumbbell-hang-power-clean single-dumbbell-hang-clean',
    implement:
      'hang-power-clean power-clean dumbbell-hang-power-clean double-kettlebell-clean dumbbell-power-clean kettlebell-clean single-dumbbell-hang-clean alternating-dumbbell-clean sandbag-clean bag-to-shoulder',
    range: 'clean-pull kettlebell-high-pull sumo-deadlift-high-pull',
    position: 'kettlebell-swing dumbbell-swing backpack-swing sandbag-deadlift dumbbell-deadlift kettlebell-deadlift band-hinge',
    unloaded: 'single-leg-hip-thrust hip-thrust jumping-squat air-squat balance-hinge',
    muscles: 'squat-to-chair half-squat',
  },
  {
    of: 'squat-clean hang-squat-clean dumbbell-squat-clean dumbbell-hang-squat-clean',
    implement: 'squat-clean dumbbell-squat-clean hang-squat-clean dumbbell-hang-squat-clean',
    range: 'power-clean dumbbell-power-clean sandbag-clean kettlebell-clean alternating-dumbbell-clean single-dumbbell-hang-clean',
    position: 'front-squat dumbbell-front-squat kettlebell-front-squat goblet-squat sandbag-squat hug-squat kettlebell-swing dumbbell-deadlift',
    unloaded: 'jumping-squat air-squat squat-to-chair half-squat hip-thrust',
  },
  {
    of: 'snatch power-snatch hang-power-snatch hang-snatch muscle-snatch double-dumbbell-snatch',
    implement:
      'power-snatch hang-power-snatch muscle-snatch dumbbell-snatch dumbbell-hang-snatch kettlebell-snatch bag-ground-to-overhead double-dumbbell-snatch',
    range:
      'clean-and-press dumbbell-clean-and-press single-dumbbell-clean-and-press kettlebell-clean-and-press overhead-kettlebell-swing overhead-dumbbell-swing',
    position:
      'power-clean hang-power-clean dumbbell-power-clean sandbag-clean kettlebell-clean alternating-dumbbell-clean single-dumbbell-hang-clean kettlebell-swing dumbbell-swing backpack-swing',
    unloaded: 'single-leg-hip-thrust hip-thrust jumping-squat air-squat balance-hinge',
  },
  {
    of: 'dumbbell-snatch kettlebell-snatch dumbbell-hang-snatch bag-ground-to-overhead burpee-dumbbell-snatch',
    implement: 'dumbbell-snatch kettlebell-snatch dumbbell-hang-snatch bag-ground-to-overhead',
    range: 'single-dumbbell-clean-and-press kettlebell-clean-and-press overhead-kettlebell-swing overhead-dumbbell-swing',
    position:
      'kettlebell-clean alternating-dumbbell-clean single-dumbbell-hang-clean sandbag-clean dumbbell-power-clean single-arm-dumbbell-swing single-arm-kettlebell-swing kettlebell-swing dumbbell-swing backpack-swing dumbbell-deadlift kettlebell-deadlift band-hinge',
    unloaded: 'single-leg-hip-thrust hip-thrust balance-hinge',
    muscles: 'air-squat squat-to-chair half-squat',
  },
  {
    of: 'clean-and-jerk clean-and-press hang-clean-and-jerk dumbbell-clean-and-press dumbbell-hang-clean-and-jerk single-dumbbell-clean-and-press double-kettlebell-clean-and-press kettlebell-clean-and-press',
    implement:
      'clean-and-press clean-and-jerk hang-clean-and-jerk dumbbell-clean-and-press dumbbell-hang-clean-and-jerk double-kettlebell-clean-and-press single-dumbbell-clean-and-press kettlebell-clean-and-press bag-ground-to-overhead dumbbell-snatch',
    position:
      'power-clean dumbbell-power-clean sandbag-clean kettlebell-clean alternating-dumbbell-clean single-dumbbell-hang-clean dumbbell-thruster goblet-thruster',
    unloaded: 'single-leg-hip-thrust hip-thrust air-squat',
  },
  {
    of: 'clean-pull kettlebell-high-pull sumo-deadlift-high-pull snatch-pull',
    implement: 'clean-pull sumo-deadlift-high-pull kettlebell-high-pull',
    position: 'kettlebell-swing dumbbell-swing backpack-swing deadlift dumbbell-deadlift sandbag-deadlift kettlebell-deadlift bent-over-row',
    unloaded: 'single-leg-hip-thrust hip-thrust',
  },
  {
    of: 'get-up half-get-up',
    implement: 'get-up',
    range: 'half-get-up',
    position: 'pressed-sit-up weighted-sit-up overhead-lunge reverse-lunge sit-up',
    muscles: 'plank',
  },
  // presses
  {
    of: 'push-press push-jerk jerk split-jerk dumbbell-push-press dumbbell-push-jerk single-arm-dumbbell-push-press',
    implement: 'push-press dumbbell-push-press push-jerk dumbbell-push-jerk strict-press dumbbell-strict-press double-kettlebell-press sandbag-press',
    range: 'single-arm-dumbbell-push-press kettlebell-press single-arm-dumbbell-press two-hand-dumbbell-press',
    position:
      'seated-dumbbell-press kneeling-dumbbell-press seated-single-arm-press half-kneeling-press seated-two-hand-press kneeling-two-hand-press dumbbell-floor-press floor-press single-dumbbell-floor-press band-press',
    unloaded: 'piked-push-up push-up raised-piked-push-up raised-push-up knee-push-up fist-push-up',
    muscles: 'plank-up-down wall-plank',
  },
  {
    of: 'strict-press dumbbell-strict-press double-kettlebell-press single-arm-dumbbell-press two-hand-dumbbell-press kettlebell-press sandbag-press any-press band-press',
    implement: 'strict-press dumbbell-strict-press double-kettlebell-press push-press dumbbell-push-press sandbag-press',
    range: 'kettlebell-press single-arm-dumbbell-press single-arm-dumbbell-push-press two-hand-dumbbell-press',
    position:
      'seated-dumbbell-press kneeling-dumbbell-press seated-single-arm-press half-kneeling-press seated-two-hand-press kneeling-two-hand-press dumbbell-floor-press floor-press single-dumbbell-floor-press band-press',
    unloaded: 'piked-push-up push-up raised-piked-push-up raised-push-up knee-push-up fist-push-up',
    muscles: 'plank-up-down wall-plank',
  },
  {
    of: 'seated-dumbbell-press kneeling-dumbbell-press seated-single-arm-press half-kneeling-press seated-two-hand-press kneeling-two-hand-press',
    implement: 'seated-dumbbell-press kneeling-dumbbell-press',
    range: 'seated-single-arm-press half-kneeling-press seated-two-hand-press kneeling-two-hand-press',
    position: 'dumbbell-strict-press single-arm-dumbbell-press dumbbell-floor-press single-dumbbell-floor-press band-press',
    unloaded: 'piked-push-up push-up raised-piked-push-up raised-push-up knee-push-up fist-push-up',
  },
  {
    of: 'bench-press floor-press dumbbell-bench-press dumbbell-floor-press single-dumbbell-floor-press',
    implement: 'bench-press floor-press dumbbell-bench-press dumbbell-floor-press',
    range: 'single-dumbbell-floor-press',
    position: 'loaded-push-up ring-push-up feet-raised-push-up push-up fist-push-up raised-push-up knee-push-up',
    muscles: 'chair-dip plank-up-down',
  },
  // pushes with the body
  {
    of: 'push-up hand-release-push-up lowering-push-up staggered-push-up push-up-with-reach push-up-with-shoulder-tap close-hand-push-up feet-raised-push-up loaded-push-up ring-push-up',
    implement: 'push-up hand-release-push-up fist-push-up',
    range: 'raised-push-up knee-push-up',
    position: 'dumbbell-floor-press floor-press single-dumbbell-floor-press dumbbell-bench-press',
    muscles: 'plank-up-down shoulder-tap plank',
  },
  {
    of: 'raised-push-up knee-push-up fist-push-up',
    range: 'raised-push-up knee-push-up',
    position: 'dumbbell-floor-press single-dumbbell-floor-press',
    muscles: 'plank-up-down wall-plank',
  },
  {
    of: 'handstand-push-up strict-handstand-push-up kipping-handstand-push-up box-handstand-push-up',
    implement: 'strict-handstand-push-up handstand-push-up',
    range: 'box-handstand-push-up piked-push-up raised-piked-push-up',
    position:
      'dumbbell-strict-press strict-press dumbbell-push-press push-press kettlebell-press single-arm-dumbbell-press seated-dumbbell-press kneeling-dumbbell-press half-kneeling-press band-press',
    unloaded: 'push-up raised-push-up fist-push-up knee-push-up',
    muscles: 'dumbbell-floor-press single-dumbbell-floor-press',
  },
  {
    of: 'piked-push-up raised-piked-push-up dive-through-push-up',
    implement: 'piked-push-up',
    range: 'raised-piked-push-up',
    position:
      'dumbbell-strict-press strict-press single-arm-dumbbell-press half-kneeling-press seated-single-arm-press push-up raised-push-up fist-push-up knee-push-up',
    muscles: 'dumbbell-floor-press single-dumbbell-floor-press',
  },
  {
    of: 'wall-walk walk-out-push-up handstand-hold handstand-shoulder-tap',
    range: 'walk-out-push-up',
    position: 'piked-push-up raised-piked-push-up push-up raised-push-up knee-push-up fist-push-up dumbbell-strict-press',
    muscles: 'plank-up-down shoulder-tap plank',
  },
  {
    of: 'ring-dip bar-dip chair-dip',
    implement: 'ring-dip bar-dip',
    range: 'chair-dip',
    position: 'hand-release-push-up push-up raised-push-up knee-push-up fist-push-up',
    muscles: 'dumbbell-floor-press floor-press single-dumbbell-floor-press',
  },
  // pulls
  {
    of: 'pull-up kipping-pull-up chest-to-bar-pull-up chin-up burpee-pull-up',
    implement: 'pull-up chin-up strict-pull-up strict-chin-up',
    range: 'jumping-pull-up ring-row bar-row table-row band-pull-up',
    position: 'dumbbell-row kettlebell-row bent-over-row dumbbell-bent-over-row backpack-row supported-row band-pull-down band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
    muscles: 'lowering-pull-up curl plank-row',
  },
  {
    of: 'strict-pull-up strict-chin-up weighted-pull-up lowering-pull-up towel-pull-up',
    implement: 'strict-pull-up strict-chin-up',
    range: 'band-pull-up ring-row bar-row table-row',
    position: 'dumbbell-row kettlebell-row bent-over-row dumbbell-bent-over-row backpack-row supported-row band-pull-down band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
    muscles: 'jumping-pull-up lowering-pull-up curl plank-row',
  },
  {
    of: 'bar-muscle-up ring-muscle-up strict-ring-muscle-up',
    range: 'chest-to-bar-pull-up pull-up strict-pull-up jumping-pull-up ring-row bar-row table-row',
    position: 'dumbbell-row bent-over-row dumbbell-bent-over-row kettlebell-row backpack-row band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
  },
  {
    of: 'rope-climb',
    range: 'towel-pull-up strict-pull-up pull-up band-pull-up jumping-pull-up ring-row bar-row table-row',
    position: 'dumbbell-row kettlebell-row bent-over-row dumbbell-bent-over-row backpack-row band-pull-down band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
  },
  {
    of: 'jumping-pull-up band-pull-up shoulder-blade-pull',
    range: 'jumping-pull-up band-pull-up ring-row bar-row table-row',
    position: 'dumbbell-row kettlebell-row bent-over-row backpack-row band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
  },
  {
    of: 'ring-row bar-row table-row door-row',
    implement: 'ring-row bar-row table-row',
    position: 'dumbbell-row kettlebell-row bent-over-row dumbbell-bent-over-row backpack-row band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
  },
  {
    of: 'floor-pull prone-swimmer',
    position: 'table-row ring-row dumbbell-row backpack-row band-pull-down band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
  },
  {
    of: 'bent-over-row dumbbell-bent-over-row dumbbell-row kettlebell-row supported-row dead-stop-row backpack-row plank-row renegade-row',
    implement: 'bent-over-row dumbbell-bent-over-row dumbbell-row kettlebell-row backpack-row supported-row dead-stop-row',
    position: 'ring-row bar-row table-row band-row door-row',
    unloaded: 'floor-pull prone-swimmer',
    muscles: 'curl',
  },
  {
    of: 'band-row band-pull-down',
    implement: 'band-row band-pull-down',
    position: 'dumbbell-row kettlebell-row backpack-row ring-row table-row door-row',
    unloaded: 'floor-pull prone-swimmer',
  },
  { of: 'curl hammer-curl band-curl', implement: 'curl hammer-curl band-curl', muscles: 'backpack-row dumbbell-row chin-up door-row' },
  { of: 'bar-hang towel-hang hanging-hold', implement: 'bar-hang', muscles: 'farmer-carry suitcase-carry hollow-hold plank' },
  // trunk
  {
    of: 'toes-to-bar kipping-toes-to-bar hanging-knees-to-elbows',
    implement: 'toes-to-bar strict-toes-to-bar',
    range: 'hanging-knees-to-elbows hanging-leg-raise hanging-knee-raise',
    position: 'v-up leg-raise tuck-up strict-leg-raise weighted-sit-up sit-up bent-knee-leg-raise',
    muscles: 'dead-bug hollow-rock crunch flutter-kick plank',
  },
  {
    of: 'strict-toes-to-bar strict-hanging-knee-raise',
    implement: 'toes-to-bar kipping-toes-to-bar',
    range: 'hanging-leg-raise strict-hanging-knee-raise',
    position: 'strict-leg-raise v-up leg-raise tuck-up sit-up bent-knee-leg-raise',
    muscles: 'dead-bug hollow-rock crunch plank',
  },
  {
    of: 'hanging-knee-raise hanging-leg-raise',
    range: 'hanging-leg-raise hanging-knee-raise',
    position: 'leg-raise tuck-up v-up bent-knee-leg-raise sit-up',
    muscles: 'dead-bug hollow-rock crunch plank',
  },
  {
    of: 'sit-up anchored-sit-up crunch reverse-burpee bicycle-crunch',
    implement: 'sit-up anchored-sit-up',
    range: 'crunch',
    position: 'tuck-up bent-knee-leg-raise leg-raise dead-bug',
    muscles: 'hollow-hold plank',
  },
  {
    of: 'weighted-sit-up pressed-sit-up overhead-sit-up',
    implement: 'weighted-sit-up',
    unloaded: 'sit-up anchored-sit-up v-up tuck-up crunch',
    muscles: 'dead-bug plank',
  },
  {
    of: 'v-up tuck-up weighted-v-up hollow-rock leg-raise strict-leg-raise leg-raise-over-object bent-knee-leg-raise flutter-kick',
    implement: 'v-up leg-raise',
    range: 'tuck-up bent-knee-leg-raise',
    position: 'sit-up hollow-rock dead-bug crunch',
    muscles: 'hollow-hold plank',
  },
  {
    of: 'plank high-plank feet-raised-plank knee-plank hollow-hold',
    implement: 'plank',
    range: 'knee-plank',
    position: 'hollow-hold side-plank dead-bug',
    muscles: 'wall-plank',
  },
  { of: 'l-sit', range: 'hanging-hold hollow-hold', position: 'tuck-up leg-raise', muscles: 'plank' },
  { of: 'shoulder-tap plank-up-down plank-rotation plank-jack', position: 'plank side-plank dead-bug bicycle-crunch', muscles: 'sit-up' },
  { of: 'seated-twist', position: 'bicycle-crunch side-plank-dip plank-rotation dead-bug sit-up', muscles: 'side-plank plank' },
  { of: 'sliding-mountain-climber', implement: 'mountain-climber', position: 'plank-up-down shoulder-tap', breath: quietBreath },
  { of: 'sliding-pike', position: 'v-up tuck-up sit-up dead-bug', muscles: 'plank' },
  {
    of: 'mountain-climber',
    implement: 'sliding-mountain-climber',
    position: 'plank-up-down shoulder-tap',
    breath: 'stepping-jack low-step-up step-up bicycle-crunch calf-raise jog-on-the-spot high-knees march-on-the-spot',
    muscles: 'dead-bug sit-up',
  },
  // the whole body, and breath
  {
    of: 'burpee lateral-burpee burpee-to-plate burpee-broad-jump burpee-box-jump-over',
    implement: 'burpee lateral-burpee',
    range: 'step-back-burpee raised-burpee squat-thrust',
    position: 'walk-out-push-up reverse-burpee air-squat squat-to-chair',
    muscles: 'sandbag-clean bag-to-shoulder kettlebell-swing dumbbell-swing raised-push-up push-up knee-push-up mountain-climber',
    breath: 'jumping-squat stepping-jack jumping-jack low-step-up march-on-the-spot',
  },
  {
    of: 'squat-thrust step-back-burpee raised-burpee',
    range: 'step-back-burpee raised-burpee',
    position: 'walk-out-push-up reverse-burpee air-squat squat-to-chair',
    muscles: 'raised-push-up mountain-climber kettlebell-swing',
    breath: 'stepping-jack low-step-up march-on-the-spot',
  },
  {
    of: 'run',
    implement: 'shuttle-run',
    breath: `row bike air-bike single-under hip-tap-hop low-step-up step-up jumping-jack mountain-climber stepping-jack sliding-mountain-climber running-skip calf-raise lateral-shuffle jog-on-the-spot high-knees step-back-burpee march-on-the-spot`,
  },
  { of: 'walk', breath: 'march-on-the-spot low-step-up step-up' },
  {
    of: 'running-skip',
    breath: 'jog-on-the-spot jumping-jack single-under high-knees stepping-jack low-step-up mountain-climber calf-raise march-on-the-spot',
  },
  {
    of: 'shuttle-run',
    implement: 'run',
    breath: `single-under running-skip mountain-climber low-step-up step-up stepping-jack jumping-jack lateral-shuffle row air-bike bike jog-on-the-spot high-knees march-on-the-spot`,
  },
  {
    of: 'row air-bike bike',
    implement: 'row air-bike bike',
    breath: `run shuttle-run single-under low-step-up step-up jumping-jack mountain-climber stepping-jack sliding-mountain-climber hip-tap-hop calf-raise lateral-shuffle jog-on-the-spot high-knees step-back-burpee march-on-the-spot`,
  },
  {
    of: 'double-under',
    range: 'single-under',
    position: 'hip-tap-hop hop-over jumping-jack',
    breath: `stepping-jack mountain-climber calf-raise low-step-up lateral-shuffle jog-on-the-spot high-knees march-on-the-spot`,
  },
  {
    of: 'single-under hip-tap-hop hop-over jumping-jack cross-country-step',
    implement: 'single-under jumping-jack hip-tap-hop',
    range: 'stepping-jack',
    breath: `low-step-up step-up mountain-climber calf-raise lateral-shuffle jog-on-the-spot high-knees march-on-the-spot`,
  },
  {
    of: 'jog-on-the-spot high-knees lateral-shuffle march-on-the-spot stepping-jack',
    breath: `jog-on-the-spot stepping-jack high-knees mountain-climber low-step-up step-up calf-raise march-on-the-spot`,
  },
  // carries, crawls, sleds
  {
    of: 'farmer-carry suitcase-carry front-rack-carry hug-carry overhead-carry',
    implement: 'farmer-carry suitcase-carry hug-carry front-rack-carry',
    range: 'farmer-hold',
    position: 'dumbbell-deadlift kettlebell-deadlift suitcase-deadlift',
    muscles: 'loaded-wall-sit dead-bug bar-hang plank side-plank',
  },
  {
    of: 'bear-crawl side-crawl crab-walk',
    implement: 'bear-crawl side-crawl',
    range: 'shoulder-tap mountain-climber',
    position: 'farmer-carry suitcase-carry hug-carry plank side-plank dead-bug',
    muscles: 'plank-up-down hollow-hold',
  },
  {
    of: 'sled-push sled-drag',
    implement: 'sled-push sled-drag',
    position:
      'hug-carry farmer-carry front-rack-carry front-rack-walking-lunge walking-lunge suitcase-carry dumbbell-lunge single-dumbbell-lunge reverse-lunge step-up',
    breath: 'air-bike row run',
  },
  {
    of: 'thruster-to-chair',
    implement: 'goblet-squat-to-chair',
    position: 'squat-to-chair seated-two-hand-press seated-dumbbell-press',
    unloaded: 'squat-to-chair half-squat',
  },
  { of: 'band-thruster', implement: 'goblet-thruster dumbbell-thruster', unloaded: 'air-squat jumping-squat squat-to-chair half-squat' },
  {
    of: 'band-good-morning band-hinge band-deadlift',
    implement: 'band-hinge band-deadlift band-good-morning',
    position: 'kettlebell-deadlift dumbbell-romanian-deadlift backpack-romanian-deadlift',
    unloaded: 'hip-thrust single-leg-hip-thrust balance-hinge',
  },
  { of: 'sliding-leg-curl', position: 'single-leg-hip-thrust hip-thrust', muscles: 'balance-hinge' },
  {
    of: 'prone-arch prone-arch-hold reverse-plank',
    implement: 'prone-arch prone-arch-hold',
    position: 'reverse-plank hip-thrust',
    muscles: 'balance-hinge plank',
  },
  { of: 'calf-raise', position: 'low-step-up stepping-jack', breath: 'march-on-the-spot' },
  { of: 'overhead-hold', position: 'wall-plank', muscles: 'plank' },
  { of: 'wall-plank', muscles: 'plank knee-plank' },
  { of: 'side-bend side-plank-dip', implement: 'side-plank-dip', range: 'side-plank', position: 'bicycle-crunch dead-bug', muscles: 'plank' },
  { of: 'side-plank', range: 'plank knee-plank', muscles: 'dead-bug' },
  { of: 'dead-bug', position: 'bicycle-crunch bent-knee-leg-raise hollow-hold', muscles: 'plank sit-up' },
  { of: 'plank-drag', implement: 'plank-row', position: 'shoulder-tap plank-up-down', muscles: 'plank dead-bug' },
];

/** Movements that join two patterns, and the two they come apart into, done in turn (common practice). `when`: what the athlete avoids that makes it so; null: whenever it cannot be done. */
const halves: readonly { readonly of: string; readonly into: readonly [MovementId, MovementId]; readonly when: 'overhead' | null }[] = [
  { of: 'bar-muscle-up ring-muscle-up strict-ring-muscle-up', into: ['strict-pull-up', 'ring-dip'], when: null },
  { of: 'thruster dumbbell-thruster kettlebell-thruster goblet-thruster sandbag-thruster', into: ['front-squat', 'push-up'], when: 'overhead' },
];
export const halvesOf = (id: MovementId): (typeof halves)[number] | null => halves.find(({ of }) => of.split(' ').includes(id)) ?? null;

export interface StandIn {
  readonly id: MovementId;
  readonly step: Step;
  /** place within the row, from 0 */
  readonly order: number;
}

const steps = nearness.filter((each): each is Step => each !== 'written' && each !== 'likeness');
const listOf = (row: Row): StandIn[] => {
  const listed = steps.flatMap((step) => (row[step] ?? '').split(' ').flatMap((id) => (id === '' ? [] : [{ id, step }])));
  return listed.map((each, order) => ({ ...each, order }));
};
const byMovement = new Map<MovementId, readonly StandIn[]>();
for (const row of rows) {
  const list = listOf(row);
  for (const id of row.of.split(' '))
    if (!byMovement.has(id))
      byMovement.set(
        id,
        list.filter((each) => each.id !== id),
      );
}

/** The movements that stand in for one, nearest first; empty where the trade has no list, and only likeness is left. */
export const standInsOf = (id: MovementId): readonly StandIn[] => byMovement.get(id) ?? [];
