/**
 * Hanging pulls of newer athletes. High-rep pulling on the own arms, lowering above all, makes newer athletes sore days later and in rare cases worse; that it is capped
 * is common practice, the figures are round ones of ours.
 */
import type { Level } from '../../athlete/athlete';
import type { Movement } from '../../movements/movement';

export const mostPulls: Readonly<Record<Level, number | null>> = { new: 30, newer: 60, trained: null, competitive: null };

/** Pull-ups of every kind: the body hangs, and vertical pulling is what moves or lowers it. */
export const isHangingPull = (movement: Movement): boolean => movement.avoid.includes('hanging') && (movement.patterns.verticalPull ?? 0) >= 0.4;
