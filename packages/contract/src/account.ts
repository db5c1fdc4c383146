/** What a coach types to set up or join: one shape for the form and for the server. */
import { z } from 'zod';

export const passwordSchema = z.string().min(10, 'expected at least 10 characters').max(200, 'expected at most 200 characters');
export const newCoachSchema = z.object({
  name: z.string().trim().min(1, 'expected a name').max(120, 'expected at most 120 characters'),
  email: z.email('expected an e-mail address such as maruvel@lanterns.example').max(190, 'expected at most 190 characters'),
  password: passwordSchema,
});
export const signInSchema = z.object({
  email: z.string().min(1, 'expected an e-mail address').max(190),
  password: z.string().min(1, 'expected the password').max(200),
});
export const changePasswordSchema = z.object({ before: z.string().min(1, 'expected the present password').max(200), after: passwordSchema });
export const newPasswordSchema = z.object({ password: passwordSchema });
export const forgottenSchema = z.object({ email: z.email('expected an e-mail address such as maruvel@lanterns.example').max(190) });

/** h after midnight of its day at which a score is due: by when one is missing */
export const logByHours = {
  21: 'at 21:00 that day',
  24: 'at midnight',
  36: 'at noon the day after',
  48: 'at the end of the day after',
  168: 'within a week',
} as const;
export type LogBy = keyof typeof logByHours;
export const usualLogBy: LogBy = 36;
export const logBySchema = z.union([z.literal(21), z.literal(24), z.literal(36), z.literal(48), z.literal(168)]);

/** what went out, as the stand-in for a messenger keeps it */
export const outboxSchema = z.object({
  messages: z.array(z.object({ id: z.number(), at: z.string(), recipient: z.string(), subject: z.string(), body: z.string() })),
});
export type OutboxMessage = z.infer<typeof outboxSchema>['messages'][number];
/** `at`: the time of day one is taken; null where nobody said one */
export const backupsSchema = z.object({
  at: z.string().nullable(),
  taken: z.array(z.object({ at: z.string(), file: z.string(), bytes: z.number(), rows: z.number(), failure: z.string().nullable() })),
});
export type Backups = z.infer<typeof backupsSchema>;
