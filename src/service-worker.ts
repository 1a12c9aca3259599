/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
// Keeps the whole app in the browser after the first load, so that it works with no network. A new
// build is fetched beside the old one and takes over when the last tab of the old one is closed;
// what a person is doing is in the database and loses nothing.
import { build, files, version } from '$service-worker';

const worker = globalThis as unknown as ServiceWorkerGlobalScope;
const CACHE = `satchel-${version}`;
const SHELL = '/';
/** Font twins and subsets nobody here needs stay on the server. */
const wanted = [...build, ...files].filter(
  (path) => !/\.woff$|vietnamese|cyrillic|greek|latin-ext.*italic/.test(path)
);

worker.addEventListener('install', (event) => {
  event.waitUntil(
    caches.open(CACHE).then(async (cache) => {
      await cache.addAll(wanted);
      await cache.add(new Request(SHELL, { cache: 'reload' }));
    })
  );
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name)))
      )
      .then(() => worker.clients.claim())
  );
});

const isPage = ({ pathname }: URL) =>
  !pathname.startsWith('/schema/') && !/\.[a-z0-9]+$/i.test(pathname);

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (
    request.method !== 'GET' ||
    url.origin !== worker.location.origin ||
    url.pathname.startsWith('/api/')
  )
    return;
  // Pages are one shell that finds its way by the address. The kept one comes up at once, whether the
  // network answers, fails or says nothing; files and schemas are no pages.
  if (request.mode === 'navigate') {
    if (isPage(url)) event.respondWith(caches.match(SHELL).then((kept) => kept ?? fetch(request)));
    return;
  }
  event.respondWith(
    caches.match(request, { ignoreVary: true }).then((kept) => kept ?? fetch(request))
  );
});
