/** Messages to athletes about what was sent to them, and how each one fared. */
import { z } from 'zod';

/** how the stand-in for a messenger behaves: every message arrives; each first try fails; none arrives */
export const messengerSchema = z.enum(['works', 'stumbles', 'refuses']);
export type MessengerMode = z.infer<typeof messengerSchema>;

/** `reason`: why nothing can be written to this athlete; null where it can */
export const draftSchema = z.object({
  athleteId: z.number(),
  name: z.string(),
  recipient: z.string().nullable(),
  subject: z.string(),
  body: z.string(),
  reason: z.enum(['no contact', 'contact too long', 'not sent', 'told already']).nullable(),
});
export type Draft = z.infer<typeof draftSchema>;

export const deliverySchema = z.object({
  id: z.number(),
  workoutId: z.number(),
  athleteId: z.number(),
  name: z.string(),
  recipient: z.string(),
  subject: z.string(),
  body: z.string(),
  state: z.enum(['waiting', 'sent', 'failed']),
  tries: z.number(),
  failure: z.string().nullable(),
  at: z.string(),
  nextTryAt: z.string().nullable(),
});
export type Delivery = z.infer<typeof deliverySchema>;
