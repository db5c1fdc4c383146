/** The application: platform first, then one plugin a feature. */
import compress from '@fastify/compress';
import cookie from '@fastify/cookie';
import etag from '@fastify/etag';
import helmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import swagger from '@fastify/swagger';
import swaggerUi from '@fastify/swagger-ui';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, serializerCompiler, validatorCompiler, type ZodTypeProvider } from 'fastify-type-provider-zod';
import { archiveRoutes } from '../archive/routes';
import { athleteRoutes } from '../athletes/routes';
import { accountRoutes, authRoutes } from '../auth/routes';
import { boardRoutes } from '../boards/routes';
import { catalogueRoutes } from '../catalogue/routes';
import { calendarRoutes, feedRoutes } from '../calendars/routes';
import { deliveryRoutes } from '../deliveries/routes';
import { discomfortRoutes } from '../discomforts/routes';
import { doorRoutes, ownDoorRoutes } from '../doors/routes';
import { instanceRoutes } from '../instance/routes';
import { recordRoutes } from '../record/routes';
import { ruleRoutes } from '../rules/routes';
import { scoreRoutes } from '../scores/routes';
import { athletePageRoutes } from '../sends/athlete-page-routes';
import { sendRoutes } from '../sends/routes';
import { classRoutes, followRoutes } from '../together/routes';
import { workoutRoutes } from '../workouts/routes';
import { startBackground } from './background';
import { buildServices } from './build-services';
import type { Config } from './config';
import type { Database } from './database';
import { Problem, registerErrors } from './errors';
import { registerGuards } from './guards';
import { watchReaders } from './readers';

export type App = FastifyInstance;
export type AppConfig = Omit<Config, 'port' | 'host' | 'database' | 'watch'>;

const features = [
  authRoutes,
  accountRoutes,
  catalogueRoutes,
  athleteRoutes,
  workoutRoutes,
  ruleRoutes,
  sendRoutes,
  athletePageRoutes,
  scoreRoutes,
  recordRoutes,
  boardRoutes,
  archiveRoutes,
  instanceRoutes,
  doorRoutes,
  discomfortRoutes,
  ownDoorRoutes,
  calendarRoutes,
  feedRoutes,
  deliveryRoutes,
  classRoutes,
  followRoutes,
];

/** No cookie, and no address: a link's token is in it. */
export const loggerOptions = (level: string) => ({ level, redact: ['req.headers.cookie', 'req.headers.authorization', 'req.url'] });

/** @param https HSTS and upgrades only there: on plain http they would lock people out */
function securityHeaders(https: boolean) {
  return {
    strictTransportSecurity: https ? { maxAge: 15_552_000 } : false,
    contentSecurityPolicy: {
      useDefaults: true,
      directives: {
        'upgrade-insecure-requests': https ? [] : null,
        'script-src': ["'self'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'worker-src': ["'self'", 'blob:'],
      },
    },
  };
}

async function servePages(app: FastifyInstance, webDirectory: string | null): Promise<void> {
  if (webDirectory)
    await app.register(fastifyStatic, {
      root: webDirectory,
      cacheControl: false,
      setHeaders: (reply, path) => void reply.setHeader('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'),
    });
  app.setNotFoundHandler((request, reply) => {
    // a page of the application is drawn in the browser, whatever its address
    if (webDirectory && request.method === 'GET' && !request.url.startsWith('/api/'))
      return reply.type('text/html').sendFile(request.url.startsWith('/a/') ? 'athlete.html' : 'index.html');
    throw new Problem('not_found');
  });
}

/** ms a request may take to arrive, and its head; how often that is looked at: who opens a connection and says nothing does not hold it */
export const patience = { request: 120_000, headers: 20_000, look: 5_000 } as const;

/** Application without a listener; tests use it through `inject`. */
export async function buildApp(database: Database, config: AppConfig, now: () => Date = () => new Date()): Promise<App> {
  const app = Fastify({
    logger: config.logLevel === 'silent' ? false : loggerOptions(config.logLevel),
    bodyLimit: 64 * 1024,
    trustProxy: config.proxies.length > 0 ? [...config.proxies] : false,
    requestTimeout: patience.request,
    http: { headersTimeout: patience.headers, connectionsCheckingInterval: patience.look },
  }).withTypeProvider<ZodTypeProvider>() as unknown as FastifyInstance;
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  registerErrors(app);
  app.decorateRequest('signedIn', null);
  app.decorateRequest('link', null);
  await app.register(helmet, securityHeaders(config.https));
  await app.register(cookie);
  await app.register(compress, { threshold: 2048, encodings: ['br', 'gzip'] });
  // "not changed since" is answered shortly
  await app.register(etag);
  registerGuards(app, config.address);
  watchReaders(app);
  await app.register(swagger, {
    openapi: { info: { title: 'Gambito', version: '0.1.0', description: 'Everything the coach’s desk and the athletes’ pages ask of the server.' } },
    transform: jsonSchemaTransform,
  });
  await app.register(swaggerUi, { routePrefix: '/api/docs' });
  let wake: () => void = () => undefined;
  const services = buildServices(database, config, now, () => wake());
  for (const routes of features) await app.register(async (scope) => routes(scope, services), { prefix: '/api' });
  await servePages(app, config.webDirectory);
  const background = startBackground(database, services, (what) => app.log.warn({ what }, 'background work failed'));
  wake = () => background.wake();
  // streams end first: a server that stops waits for them
  app.addHook('preClose', async () => services.rooms.close());
  app.addHook('onClose', async () => {
    await background.stop();
    await services.pool.close();
  });
  await app.ready();
  return app;
}
