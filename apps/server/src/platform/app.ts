/** The application: platform first, then one plugin a feature. */
import cookie from '@fastify/cookie';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import fastifyStatic from '@fastify/static';
import swagger from '@fastify/swagger';
import swaggerUi from '@fastify/swagger-ui';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, serializerCompiler, validatorCompiler, type ZodTypeProvider } from 'fastify-type-provider-zod';
import type { Sequelize } from 'sequelize';
import { athleteRoutes } from '../athletes/routes';
import { authRoutes } from '../auth/routes';
import { catalogueRoutes } from '../catalogue/routes';
import { ruleRoutes } from '../rules/routes';
import { scoreRoutes } from '../scores/routes';
import { athletePageRoutes } from '../sends/athlete-page-routes';
import { sendRoutes } from '../sends/routes';
import { workoutRoutes } from '../workouts/routes';
import type { Config } from './config';
import { Problem, registerErrors } from './errors';
import { defineModels } from './models';

export type App = FastifyInstance;
export interface Services {
  readonly demo: boolean;
  readonly now: () => Date;
}

/** Application without a listener; tests use it through `inject`. */
export async function buildApp(
  sequelize: Sequelize,
  config: Pick<Config, 'demo' | 'webDirectory' | 'logLevel'>,
  now: () => Date = () => new Date(),
): Promise<App> {
  defineModels(sequelize);
  const app = Fastify({
    logger: config.logLevel === 'silent' ? false : { level: config.logLevel, redact: ['req.headers.cookie'] },
    bodyLimit: 64 * 1024,
    trustProxy: false,
  }).withTypeProvider<ZodTypeProvider>();
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  registerErrors(app as unknown as FastifyInstance);
  await app.register(helmet, {
    // plain http on loopback: no upgrade, no HSTS
    strictTransportSecurity: false,
    contentSecurityPolicy: {
      useDefaults: true,
      directives: {
        'upgrade-insecure-requests': null,
        'script-src': ["'self'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'worker-src': ["'self'", 'blob:'],
      },
    },
  });
  await app.register(cookie);
  await app.register(rateLimit, { global: false });
  await app.register(swagger, {
    openapi: { info: { title: 'Gambito', version: '0.1.0', description: 'Everything the coach’s desk and the athletes’ pages ask of the server.' } },
    transform: jsonSchemaTransform,
  });
  await app.register(swaggerUi, { routePrefix: '/api/docs' });
  // a form of another site cannot send JSON; anything that writes must be JSON or empty
  app.addHook('onRequest', async (request) => {
    const type = request.headers['content-type'];
    if (request.method !== 'GET' && request.method !== 'HEAD' && type && !type.startsWith('application/json'))
      throw new Problem('invalid_input', 'Expected JSON.');
  });
  const services: Services = { demo: config.demo, now };
  for (const routes of [authRoutes, catalogueRoutes, athleteRoutes, workoutRoutes, ruleRoutes, sendRoutes, athletePageRoutes, scoreRoutes])
    await app.register(async (scope) => routes(scope as unknown as FastifyInstance, services), { prefix: '/api' });
  if (config.webDirectory)
    await app.register(fastifyStatic, {
      root: config.webDirectory,
      setHeaders: (reply, path) => void reply.setHeader('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'),
    });
  app.setNotFoundHandler((request, reply) => {
    // a page of the application is drawn in the browser, whatever its address
    if (config.webDirectory && request.method === 'GET' && !request.url.startsWith('/api/')) return reply.type('text/html').sendFile('index.html');
    throw new Problem('not_found');
  });
  await app.ready();
  return app as unknown as App;
}
