/** Shapes the server answers with. */
import type { HouseRules, Lock } from '@gambito/core';

export interface Me {
  readonly signedIn: boolean;
  readonly demo: boolean;
  readonly setUp: boolean;
  readonly coach: { readonly name: string; readonly email: string; readonly timeZone: string; readonly units: 'kg' | 'lb' } | null;
}
export interface StoredAthlete {
  readonly id: number;
  readonly name: string;
  readonly file: Record<string, unknown>;
  readonly revision: number;
  /** the newest scores, each in the version done */
  readonly results: readonly { readonly workoutId: number; readonly workout: string; readonly score: string }[];
}
export interface StoredWorkout {
  readonly id: number;
  readonly title: string;
  readonly text: string;
  readonly day: string | null;
  readonly revision: number;
  readonly updatedAt: string;
}
export interface StoredSend {
  readonly id: number;
  readonly athleteId: number;
  readonly token: string;
  readonly sentAt: string;
  readonly revoked: boolean;
  readonly changed: boolean;
}
export interface StoredLocks {
  readonly athleteId: number;
  readonly locks: readonly Lock[];
}
export interface BoardEntry {
  readonly scoreId: number;
  readonly athleteId: number;
  readonly athlete: string;
  readonly version: string;
  readonly versionText: string;
  readonly score: string;
  readonly note: string;
  readonly equivalent: { readonly low: number; readonly median: number; readonly high: number; readonly unit: string } | null;
  readonly index: number | null;
  readonly rank: number;
  readonly inWindow: boolean | null;
  readonly verdict: string;
  readonly elasticity: number | null;
  readonly evidence: string | null;
}
export interface Board {
  readonly board: readonly BoardEntry[];
  readonly missing: readonly { readonly athleteId: number; readonly name: string; readonly sent: boolean }[];
  readonly scoreKind: string;
  readonly school: HouseRules['board'];
}
export interface BriefLine {
  readonly text: string;
  readonly load: string | null;
  readonly plates: string | null;
  readonly mark: string | null;
  readonly reason: string | null;
  readonly original: string | null;
  readonly fallback: string | null;
}
export interface ClockCue {
  readonly atSeconds: number;
  readonly kind: string;
  readonly text: string;
  readonly part: number;
  readonly lengthSeconds: number | null;
  readonly lines: readonly string[];
}
export interface Brief {
  readonly title: string;
  readonly athlete: string;
  readonly place: string;
  readonly parts: readonly { readonly header: string; readonly lines: readonly BriefLine[] }[];
  readonly predicted: { readonly unit: string; readonly low: number; readonly median: number; readonly high: number };
  readonly window: string | null;
  readonly warmUp: readonly string[];
  readonly coolDown: readonly string[];
  readonly pacing: readonly string[];
  readonly standards: readonly { readonly movement: string; readonly points: readonly string[]; readonly noReps: readonly string[] }[];
  readonly cautions: readonly string[];
  readonly warnings: readonly string[];
  readonly clock: { readonly cues: readonly ClockCue[]; readonly totalSeconds: number | null };
  readonly scoreKind: string;
}
export interface AthletePage {
  readonly brief: Brief;
  readonly originalText: string;
  readonly versionText: string;
  readonly sentAt: string;
  readonly changed: boolean;
  readonly score: { readonly score: string; readonly note: string } | null;
}
