/*
 * Keeps the application for days without a network. The library's worker fetches all of it when it is first started,
 * and lets every page wait until it has: seconds in which no tap leads anywhere. Until all is fetched pages are served
 * by the network, as before; from then on, and whenever this worker is woken again, by the library.
 */
const MOST_LOOKS = 600;
let fetching = false;

self.addEventListener('install', () => {
  fetching = true;
  // Where that cannot be told the library serves at once, as it does by itself.
  void allFetched()
    .catch((error) => console.warn('the offline worker', error))
    .finally(() => (fetching = false));
});
// A file that another program hands over: it waits here until the page that reads files asks for it.
self.addEventListener('fetch', (event) => {
  const { method, url } = event.request;
  const { scope } = self.registration;
  if (method !== 'POST' || url !== `${scope}take`) return;
  event.respondWith(
    takeIn(event.request).then(() => Response.redirect(`${scope}#/settings/data`, 303)),
  );
  event.stopImmediatePropagation();
});

async function takeIn(request) {
  const file = (await request.formData()).get('journal');
  if (!(file instanceof File)) return;
  const headers = { 'content-type': file.type, 'x-name': encodeURIComponent(file.name) };
  await (await caches.open('handed-over')).put('./handed-over', new Response(file, { headers }));
}
// An address without “#”, as one types or passes it on: it leads where it says. The server does the same.
self.addEventListener('fetch', (event) => {
  const { mode, url } = event.request;
  const { pathname, search } = new URL(url);
  const scope = new URL(self.registration.scope);
  const page = pathname.startsWith(scope.pathname) ? pathname.slice(scope.pathname.length) : '';
  if (mode !== 'navigate' || page === '' || /\.\w+$/.test(page)) return;
  event.respondWith(Response.redirect(`${scope.href}#/${page}${search}`));
  event.stopImmediatePropagation();
});
// Heard before the library's own listener: whom it stops, the browser serves by itself.
self.addEventListener('fetch', (event) => {
  if (fetching) event.stopImmediatePropagation();
});

async function allFetched() {
  const { assetGroups } = await (await fetch('ngsw.json')).json();
  const whole = assetGroups.find(({ name }) => name === 'application').urls.length;
  for (let look = 0; look < MOST_LOOKS; look++) {
    await new Promise((next) => setTimeout(next, 500));
    for (const name of await caches.keys()) {
      if (!name.includes('assets:application:cache')) continue;
      if ((await (await caches.open(name)).keys()).length >= whole) return;
    }
  }
}

importScripts('./ngsw-worker.js');
