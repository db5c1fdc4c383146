/** Which model readings are made with: a hash of the core's sources, set by the build. */
declare const GAMBITO_MODEL: string | undefined;

export const modelRevision: string = typeof GAMBITO_MODEL === 'string' ? GAMBITO_MODEL : 'source';
