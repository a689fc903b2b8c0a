import { existsSync, readdirSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';

import { Router } from 'express';
import expressStaticGzip from 'express-static-gzip';

/** Build tools put a hash in the names of these files, so they never change. */
const FOR_EVER = /^(_expo\/static|assets|kernel)\//;

/** The script of the worker that runs the geometry kernel. */
const KERNEL_WORKER = /solid-[0-9a-f]+\.js$/;

/**
 * A worker's script brings its own policy. The kernel's bindings are put together from text when it starts,
 * which the page itself is not allowed to do.
 */
const KERNEL_WORKER_POLICY = "default-src 'none'; script-src 'self' 'unsafe-eval'; connect-src 'self'";

/** Scripts that a page of a repair needs, in the order in which it does: they come while the first one is read. */
function scriptsAhead(folder: string): string {
  const scripts = join(folder, '_expo', 'static', 'js', 'web');
  const names = existsSync(scripts) ? readdirSync(scripts) : [];
  const link = (start: string, how: string) =>
    names
      .filter((name) => name.startsWith(`${start}-`) && name.endsWith('.js'))
      .map((name) => `</_expo/static/js/web/${name}>; ${how}`);
  return [...link('screens', 'rel=preload; as=script'), ...link('solid', 'rel=prefetch')].join(', ');
}

/** The exported web build, packed files first, and its start page for every address that is a screen. */
export function staticFiles(folder: string): Router {
  const router = Router();
  const ahead = scriptsAhead(folder);
  router.use((request, _response, next) => {
    // What serves files answers it in words of its own.
    decodeURIComponent(request.path);
    next();
  });
  router.use(
    expressStaticGzip(folder, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: {
        index: false,
        setHeaders(response, path) {
          const plain = path.replace(/\.(br|gz)$/, '');
          const forEver = FOR_EVER.test(relative(folder, plain).replaceAll('\\', '/'));
          response.setHeader('Cache-Control', forEver ? 'public, max-age=31536000, immutable' : 'no-cache');
          if (KERNEL_WORKER.test(plain)) response.setHeader('Content-Security-Policy', KERNEL_WORKER_POLICY);
          // Loading shows how far it is; a packed reply does not say how long it will be.
          if (plain.endsWith('.wasm') && existsSync(plain)) {
            response.setHeader('X-Unpacked-Length', String(statSync(plain).size));
          }
        },
      },
    }),
  );
  router.get('/{*address}', (request, response, next) => {
    const startPage = join(folder, 'index.html');
    const wantsPage = request.accepts(['html', 'json']) === 'html' && !request.path.includes('.');
    if (!wantsPage || !existsSync(startPage)) {
      next();
      return;
    }
    if (ahead && request.path.startsWith('/repair/')) response.setHeader('Link', ahead);
    response.setHeader('Cache-Control', 'no-cache').sendFile(startPage);
  });
  return router;
}
