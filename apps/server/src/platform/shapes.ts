/** Shapes that several routes ask for. */
import { z } from 'zod';

/** what fits the key's column */
export const idValue = z.coerce.number().int().positive().max(4_294_967_295);
export const idParams = z.object({ id: idValue });
/** of a link; what has another length is none */
export const tokenParams = z.object({ token: z.string().max(60) });
/** rows of one page of a list */
export const pageSize = 200;
export const pageQuery = z.object({ after: idValue.optional() });
