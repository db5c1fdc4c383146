/**
 * Heights of a standing body as shares of stature, for the rise of body and load in a rep.
 * Drillis and Contini 1966 (as tabled by Winter, Biomechanics and Motor Control of Human Movement; from memory): knee, hip, shoulder, and the arm's segments.
 */
export const heights = { knee: 0.285, hip: 0.53, shoulder: 0.818 } as const;
const arm = { upper: 0.186, fore: 0.146, hand: 0.108 } as const;
/** shoulder to the middle of the fist */
const reach = arm.upper + arm.fore + arm.hand / 2;
/** centre of a bar on full-size plates, 0.225 m, at the catalogue's reference stature of 1.72 m */
const barOnFloor = 0.131;

/** Where a load is at the ends of a rep, shares of stature. */
export const loadHeights = {
  floor: barOnFloor,
  /** straight arms, standing */
  hanging: heights.shoulder - reach,
  /** on the front of the shoulders: a hand's breadth above the joint */
  rack: heights.shoulder + 0.03,
  /** straight arms, overhead */
  overhead: heights.shoulder + reach,
} as const;

/** What one movement of the trade lifts, shares of stature. */
export const rises = {
  /** hip crease just below the knee: the hip's way, and a little of the lower leg's lean */
  squat: heights.hip - heights.knee + 0.015,
  deadlift: loadHeights.hanging - loadHeights.floor,
  clean: loadHeights.rack - loadHeights.floor,
  snatch: loadHeights.overhead - loadHeights.floor,
  press: loadHeights.overhead - loadHeights.rack,
} as const;
