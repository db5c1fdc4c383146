/** An athlete's own door, and what they propose through it. */
import { z } from 'zod';

export const doorSchema = z.object({ token: z.string(), revoked: z.boolean(), opened: z.boolean(), expiresAt: z.string() });
export type Door = z.infer<typeof doorSchema>;

const ownDaySchema = z.object({ title: z.string(), day: z.string(), token: z.string(), score: z.string().nullable() });
export type OwnDay = z.infer<typeof ownDaySchema>;
export const ownDoorSchema = z.object({
  name: z.string(),
  /** what was sent and is still open, the newest day first */
  days: z.array(ownDaySchema),
  results: z.array(z.object({ title: z.string(), score: z.string(), loggedAt: z.string() })),
  places: z.array(z.object({ name: z.string(), kit: z.array(z.string()) })),
  /** a line each, as a form has them */
  lifts: z.array(z.string()),
  bestSets: z.array(z.string()),
  avoid: z.array(z.string()),
});
export type OwnDoor = z.infer<typeof ownDoorSchema>;

const lines = z.string().max(4000, 'expected at most 4 000 characters');
/** what an athlete says is otherwise: whole fields as lines; what is left out stays */
export const proposedChangeSchema = z
  .object({
    /** of the first place */
    kit: lines.optional(),
    lifts: lines.optional(),
    bestSets: lines.optional(),
    avoid: lines.optional(),
    note: z.string().trim().max(500).default(''),
  })
  .refine(({ note, ...fields }) => note !== '' || Object.values(fields).some((field) => field !== undefined), 'expected something that is otherwise');
export type ProposedChange = z.infer<typeof proposedChangeSchema>;
export const proposalSchema = z.object({ id: z.number(), athleteId: z.number(), at: z.string(), change: proposedChangeSchema });
export type Proposal = z.infer<typeof proposalSchema>;
