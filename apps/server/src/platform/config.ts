/** The environment, read once and checked. No secrets have a default but the loopback database's, which listens to this machine only. */
import { z } from 'zod';

const schema = z.object({
  GAMBITO_PORT: z.coerce.number().int().default(4780),
  GAMBITO_HOST: z.string().default('127.0.0.1'),
  GAMBITO_DB_PORT: z.coerce.number().int(),
  GAMBITO_DB_HOST: z.string().default('127.0.0.1'),
  GAMBITO_DB_NAME: z.string().default('gambito_demo'),
  GAMBITO_DB_USER: z.string().default('gambito'),
  GAMBITO_DB_PASSWORD: z.string().default('gambito-loopback'),
  GAMBITO_DEMO: z.string().default(''),
  GAMBITO_WEB: z.string().optional(),
  GAMBITO_LOG: z.string().default('warn'),
});

export interface Config {
  readonly port: number;
  readonly host: string;
  readonly database: { readonly host: string; readonly port: number; readonly name: string; readonly user: string; readonly password: string };
  readonly demo: boolean;
  readonly webDirectory: string | null;
  readonly logLevel: string;
}

export function readConfig(environment: Record<string, string | undefined>): Config {
  const read = schema.parse(environment);
  return {
    port: read.GAMBITO_PORT,
    host: read.GAMBITO_HOST,
    database: {
      host: read.GAMBITO_DB_HOST,
      port: read.GAMBITO_DB_PORT,
      name: read.GAMBITO_DB_NAME,
      user: read.GAMBITO_DB_USER,
      password: read.GAMBITO_DB_PASSWORD,
    },
    demo: read.GAMBITO_DEMO !== '',
    webDirectory: read.GAMBITO_WEB ?? null,
    logLevel: read.GAMBITO_LOG,
  };
}
