/** The public door of the core: what the faces (web, server, command line) may use. Reads as the contents page. */

// text → workout
export { parseWorkout, type ParsedWorkout, type ReadOptions } from './notation/parse-workout';
export { most as readingLimits } from './notation/limits';
export { formatWorkout, formatPart, formatSlot, formatLoad, formatWindow, wordsOf } from './notation/format-workout';
export type { Diagnostic, Level as DiagnosticLevel } from './notation/problems';
export type * from './workout/workout';
export { slotsOfPart, slotsOfWorkout, itemLists, mapSlots } from './workout/walk';
export { summarize, type WorkoutSummary, type PartSummary } from './workout/summary';

export {
  houseWordKinds,
  houseWordSentence,
  isKept as isKeptWord,
  mostHouseWords,
  withHouseWord,
  withoutHouseWord,
  type HouseWord,
} from './message/house-words';
export { readAthleteMessage, type AthleteMessage, type MessageChange, type MessageProposal } from './message/athlete-message';
export type { Choice, Question } from './message/questions';
export { openSentences, readWorkoutText, type ReadAny } from './message/read-any';
export { readMessage, type ReadMessage } from './message/read-message';

// sentences about what was typed
export { withoutLongEchoes } from './text/echo';

// the catalogue
export { movements, movementOf, isMovementId, mainPattern } from './movements/catalogue';
export { findMovement, nearestMovements } from './movements/names';
export { heights, loadHeights, rises } from './movements/heights';
export type { DefinedMovement, OwnMovement } from './workout/workout';
export { factsOf, type WorkoutFacts } from './workout/facts';
export { patterns, muscles, type Movement, type Pattern, type Muscle } from './movements/movement';
export { meetsNeeds, parseNeeds, type Needs, type NeedAtom } from './movements/needs';

// people and kit
export { keptAgainst } from './adapt/kept-against';
export { brokenLines, type BrokenLine } from './adapt/gate/broken-lines';
export { isPlaced as speaksOfHarm, mayTellOfHarm, unansweredSentence, type Unanswered } from './athlete/harm';
export { tidyFile } from './athlete/file-keys';
export { athleteWith, readAthlete, type AthleteProblem } from './athlete/read-athlete';
export { readPlace } from './athlete/read-place';
export { readMass, readLength } from './athlete/measures';
export { avoidNames, levels, type Athlete, type AvoidName, type Level, type LoggedResult, type ReadPast } from './athlete/athlete';
export { readKit, type KitProblem } from './kit/read-kit';
export { describeItem, describeItems } from './kit/describe-items';
export { barePlace, type KitItem, type Place } from './kit/kit';
export { describeLoad, feasibleLoads, barLoads, type FeasibleLoad } from './kit/loads';
export { barPlan } from './kit/bar-plan';
export { changeSeconds, planPlateChanges, stackChange, usualPlates, type PlatePairs, type PlateStep } from './kit/plate-changes';
export { obstacles, sentenceForObstacle, needsInWords, violates, type Obstacle } from './limits/feasible';

// capacity and prediction
export { estimateCapacity, type Capacity } from './capacity/capacity';
export { referenceAthlete, referenceCapacity } from './capacity/reference-athlete';
export { brzyckiMax, epleyMax, nscaTable, repsAtShare, shareAtReps } from './capacity/strength-laws';
export { acsmRunning, criticalSpeed, reserveBalance, riegelTime, rowPace, rowPower, shownReserve, skibaTau, timeAtPower } from './capacity/engine-laws';
export { constants, formAtFitness, usualForm, type Constants } from './simulate/body';
export { compile, type Program } from './simulate/program';
export { walkProgram, type Run } from './simulate/walk-program';
export type { TraceBlock } from './simulate/walker';
export { runWarnings, type RunWarning } from './simulate/run-warnings';
export { headline, predictWorkout, scoredParts, type Band, type Prediction } from './simulate/predict';

// adaptation
export { adapt } from './adapt/adapt';
export type { AdaptOptions, Adapted } from './adapt/adapted';
export { contextFor } from './adapt/planned';
export { plainName } from './notation/format-workout';
export { forTheAthlete } from './adapt/told/warnings';
export { definedIn, ownLine } from './notation/read-own';
export { slotInLine } from './adapt/line-lock';
export { frameOf, inFrame } from './adapt/frame';
export { gravityOf, isAlarming, spareIn, sparedFor, whomToAsk, type Hurt, type Spared } from './adapt/spare';
export {
  byHandOf,
  isPartLock,
  lockedText,
  mergedLocks,
  noteOf,
  partLocks,
  withByHand,
  withNote,
  withText,
  type Lock,
  type LockedText,
  type PartLock,
} from './adapt/lock';
export { swapMark, type VersionPart, type VersionSlot } from './adapt/told/version-slots';
export type { VersionEdit } from './adapt/told/edits';
export { fallbackText } from './adapt/told/fallback';
export { changeOf, changeWords, classInWords, loadsInWords, type Change } from './adapt/told/change';
export type { Ledgers, LedgerEntry } from './adapt/told/ledgers';
export { alternativesFor, type Alternative } from './adapt/alternatives';
export { rulesAtWork, type RuleAtWork } from './adapt/rules-at-work';
export { markWords, type Mark } from './adapt/told/marks';
export { patternWords } from './adapt/told/words';
export { nearestTier, tierAthlete, usualTiers, type NearTier } from './adapt/tiers';
export { driftWeights, type Drift } from './adapt/told/drift';
export { insideWindow, windowAround } from './stimulus/window';
export { feels, says, statementsIn, type Feel } from './stimulus/statements';
export { hardLimits } from './adapt/slot/hard-limits';
export {
  attendance,
  silentFrom,
  patternVolumes,
  trainingWeeks,
  weekLimits,
  weekWarnings,
  type Attendance,
  type PatternVolume,
  type Session,
  type TrainingWeek,
} from './record/training-weeks';
export { alikeGroups, alikeLimits, isAlike, type Work } from './record/alike';
export { addDays, daysBetween, hoursAfter, weekOf } from './record/days';
export { mostResults, shownFitness, weighEvidence, type Evidence, type ShownFitness, type Thought } from './record/evidence';
export { heartRateBytes, readHeartRate, type HeartRate } from './devices/heart-rate';
export { readRower, rowerBytes, type RowerData } from './devices/rower';
export { metresBetween, trackOf, type Track, type TrackPoint } from './devices/track';
export { nextTime, type NextTime } from './adapt/next-time';
export { defaultRules, readRules, ruleSpecs, ruleLabel, type HouseRules, type RuleKey } from './rules/house-rules';
export { deriveIntent, type Intent } from './stimulus/intent';
export { collisionsBetween, dayLoadOf, mainOf, type Collision, type DayLoad } from './stimulus/week';
export { describeStimulus, type PartDescription } from './stimulus/describe';
export { bouts, stimulusOf, type PartStimulus } from './stimulus/stimulus';

// pacing, preparation, clock, scores
export { planPacing, pacingSentence, type Pacing } from './pacing/pacing';
export { splitOf, splitsFor } from './pacing/splits';
export { restAdvice } from './pacing/rests';
export { attemptLadder, type Attempt } from './pacing/attempts';
export { prepare, usualCautions, warmUpAsked, type Preparation, type PrepareOptions } from './prepare/prepare';
export { ritualOf, warmUpLimits } from './prepare/warm-up';
export { lengthOfSteps, readSteps, type WarmUpStep } from './prepare/warm-up-step';
export { clockGuide, type ClockGuide, type GuideFor, type Prompt } from './clock/guide';
export { planClock, countInSeconds, type ClockPlan, type Cue, type CueTick } from './clock/plan-clock';
export { queueForEquipment, staggerEquipment, type Holder, type Queue, type Stagger, type Use } from './clock/share-equipment';
export { handOver, handOverSeconds, planSharing, plateChange, type SharePlan, type Sharer, type Sharing } from './clock/share-plan';
export { otherOrders, type OtherOrder } from './clock/other-order';
export { implementUses, type ImplementUses, type InHand } from './clock/implement-uses';
export { movedClass, offsetOf, onDevice, waitingClass, type ClassClock, type ClassMove, type TimeSample } from './clock/class-clock';
export { meanSetFromClock, repsPerRound, setsFigure, usualScoreRules, type ScoreRules } from './scoring/score-value';
export { comparabilityOf, elasticityNear, elasticityOf, fitnessFor, parOf } from './scoring/score-of-fitness';
export { sessionLoad } from './scoring/session-load';
export { boardShift, carryOver, equivalentOf, weigh, type Equivalent, type Weighed } from './scoring/equivalent';
export { lessonOf, readDone, scoreAt, swapsOf, type Done, type Reading } from './scoring/reading';
export { compareScores, placeResults, type BoardRow, type Placed, type ReadResult, type Result } from './scoring/board';
export {
  boardLabels,
  placeDay,
  placeEntries,
  readEntry,
  type BoardLabel,
  type DayBoard,
  type DayEntry,
  type DayRow,
  type DayRules,
  type PartBoard,
  type ReadEntry,
} from './scoring/day-board';
export {
  evidenceSentence,
  learnConversions,
  learnedOffset,
  usualPriors,
  type FitnessResult,
  type LearnedConversions,
  type LearnedSwap,
} from './scoring/learn-conversions';
export { helpfulTests, type HelpfulTest } from './capacity/helpful-tests';
export { pastOf, readPastResult } from './scoring/past-result';
export { capacityOf, learnFitness, pastResultsSentence, posteriorFitness, type PastResult } from './scoring/learn-fitness';
export { expectedScore, fitsKind, formatScore, readScore, readScoreAs, type Score } from './scoring/score-text';
export {
  checkScore,
  checkScores,
  doubtOf,
  joinScores,
  leadingScore,
  scoreFields,
  scoresProblem,
  splitScores,
  worthOfPass,
  type CheckedScore,
  type CheckedScores,
  type ScoreField,
} from './scoring/check-score';
export { addSteps, amountOf, schedule, stepsOfPass, ticksOf, workOf, type Piece, type Step, type Tick } from './workout/schedule';
export { pageOf, pageText, type PagePart, type PageRow, type TickRow } from './clock/page';
export { blockWords, headOf, lineOfMove, linesOfTick, pieceWords, plainSentence, restWords, roundWords, slotOfMove } from './clock/words';

// units
export { formatClock } from './units/duration';
export { formatMass, kilogramsPerPound, kilogramsToPounds, poundsToKilograms, trimNumber, type MassUnit } from './units/mass';
export { quantile } from './units/quantile';
export { seededRandom, normalFrom } from './units/random';
