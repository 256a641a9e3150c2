import { existsSync } from 'node:fs';
import { BOOK_HEADER, IMPORT_TYPE, LARGEST_BODY, NOW_HEADER } from '@dauer/contract';
import fastifyCompress from '@fastify/compress';
import fastifyHelmet from '@fastify/helmet';
import fastifySession from '@fastify/secure-session';
import fastifyStatic from '@fastify/static';
import fastifySwagger from '@fastify/swagger';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, jsonSchemaTransformObject, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import { connect } from './db/connect.ts';
import { bleedHandlers } from './features/bleed/handlers.ts';
import { serveCalendars } from './features/due/feed.ts';
import { dueHandlers } from './features/due/handlers.ts';
import { letterHandlers, serveLetters } from './features/due/letters.ts';
import { bookinHandlers } from './features/bookin/handlers.ts';
import { servePictures } from './features/bookin/pictures.ts';
import { decideHandlers } from './features/decide/handlers.ts';
import { gaugeHandlers } from './features/gauge/handlers.ts';
import { limitsHandlers } from './features/limits/handlers.ts';
import { partsHandlers } from './features/parts/handlers.ts';
import { proveHandlers } from './features/prove/handlers.ts';
import { rackHandlers } from './features/rack/handlers.ts';
import { rebuildHandlers } from './features/rebuild/handlers.ts';
import { incarnationOf } from './records/incarnation.ts';
import { serveHealth } from './features/shop/health.ts';
import { shopHandlers } from './features/shop/handlers.ts';
import { traceHandlers } from './features/trace/handlers.ts';
import { yardHandlers } from './features/yard/handlers.ts';
import { serveChoiceFile } from './features/decide/choiceFile.ts';
import { priceHandlers } from './features/parts/prices.ts';
import { servePaper } from './features/parts/paper.ts';
import { storeHandlers } from './features/parts/store.ts';
import { supplyHandlers } from './features/parts/supply.ts';
import { trafficHandlers } from './features/parts/traffic.ts';
import { serveSheetPdf } from './features/prove/pdf.ts';
import { serveRebuildPdf } from './features/rebuild/pdf.ts';
import { serveLive } from './platform/live.ts';
import { hearClocks } from './platform/clock.ts';
import { LOGGING, requestId } from './platform/log.ts';
import { checkOrigin, closeRefused } from './platform/origin.ts';
import { overTls, serveAuthority, type TlsOptions } from './platform/tls.ts';
import { HttpProblem, installProblems } from './platform/problem.ts';
import { keepAll } from './platform/handlers.ts';
import { registerRoutes } from './platform/routes.ts';
import { COOKIE_SECONDS, cookieKey } from './platform/session.ts';

export interface AppOptions {
  readonly databaseUrl: string;
  /** Folder of the built web application; none is served where it is missing. */
  readonly webRoot?: string;
  readonly log?: boolean;
  /** Where the log goes; to the process’s own output where nothing is named. */
  readonly logTo?: { write: (line: string) => void };
  /** Served over TLS with this certificate and key; in the clear where none is given. */
  readonly tls?: TlsOptions;
}

const handlers = {
  ...keepAll(),
  ...shopHandlers,
  ...yardHandlers,
  ...dueHandlers,
  ...letterHandlers,
  ...bookinHandlers,
  ...traceHandlers,
  ...gaugeHandlers,
  ...decideHandlers,
  ...rebuildHandlers,
  ...bleedHandlers,
  ...proveHandlers,
  ...partsHandlers,
  ...priceHandlers,
  ...supplyHandlers,
  ...storeHandlers,
  ...trafficHandlers,
  ...limitsHandlers,
  ...rackHandlers,
};

async function serveWeb(app: FastifyInstance, root: string): Promise<void> {
  await app.register(fastifyStatic, {
    root,
    wildcard: false,
    preCompressed: true,
    setHeaders: (reply, path) =>
      void reply.header('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'),
  });
  app.setNotFoundHandler(async (request, reply) => {
    if (request.method === 'GET' && !request.url.startsWith('/api/') && !request.url.startsWith('/assets/'))
      return reply.header('cache-control', 'no-cache').sendFile('index.html');
    throw new HttpProblem('not_found', 'There is nothing under this address.');
  });
}

/** Builds the application on a database. It holds no state of its own: any number may run side by side. */
export async function buildApp(options: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({
    ...(options.tls ? { serverFactory: overTls(options.tls) } : {}),
    logger: options.log ? { ...LOGGING, ...(options.logTo ? { stream: options.logTo } : {}) } : false,
    genReqId: requestId,
    trustProxy: false,
    forceCloseConnections: true,
    bodyLimit: LARGEST_BODY,
  });
  const connection = connect(options.databaseUrl, (error) => app.log.warn(error));
  app.addHook('onClose', () => connection.close());
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  installProblems(app);
  checkOrigin(app);
  hearClocks(app);
  closeRefused(app);
  // Passed on as it comes: whoever takes it reads it line by line.
  app.addContentTypeParser(IMPORT_TYPE, (_request, payload, done) => done(null, payload));
  await app.register(fastifyHelmet, {
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  });
  // Fast rather than small: over the shop's own network the time goes into compressing.
  await app.register(fastifyCompress, { encodings: ['gzip', 'identity'], zlibOptions: { level: 1 } });
  await app.register(fastifySession, {
    key: await cookieKey(connection.db),
    expiry: COOKIE_SECONDS,
    cookieName: 'dauer',
    cookie: { path: '/', httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: COOKIE_SECONDS },
  });
  await app.register(fastifySwagger, {
    openapi: { openapi: '3.1.0', info: { title: 'Dauer', version: '1' } },
    transform: jsonSchemaTransform,
    transformObject: jsonSchemaTransformObject,
  });
  app.decorateRequest('person', null);
  const book = await incarnationOf(connection.db);
  app.addHook('onSend', async (request, reply) => {
    reply.header(NOW_HEADER, String(Date.now())).header(BOOK_HEADER, book);
    // What is of the book stays in no cache that outlives the session.
    if (request.url.startsWith('/api/')) reply.header('cache-control', 'no-store');
  });
  registerRoutes(app, connection.db, handlers);
  serveSheetPdf(app, connection.db);
  serveRebuildPdf(app, connection.db);
  serveLetters(app, connection.db);
  servePaper(app, connection.db);
  serveChoiceFile(app, connection.db);
  serveCalendars(app, connection.db);
  servePictures(app, connection.db);
  serveAuthority(app);
  serveLive(app, connection.db, options.databaseUrl);
  serveHealth(app, connection.db);
  app.get('/api/openapi.json', { schema: { hide: true } }, async () => app.swagger());
  if (options.webRoot && existsSync(options.webRoot)) await serveWeb(app, options.webRoot);
  else
    app.setNotFoundHandler(async () => {
      throw new HttpProblem('not_found', 'There is nothing under this address.');
    });
  return app;
}
