// The pages of those who score and judge, kept in their browser: they open without a network too. Everything else of
// the application goes to the server as if this were not here.
import { CacheFirst, ExpirationPlugin, NetworkFirst, Serwist } from "serwist";
import { keptHandbook, keptPages, keptParts } from "@/ui/offline-names";

const day = 86_400;

/** A page of the guest's that is kept, of the kind that was asked for where there is one: better than none. */
async function nearest({ request }: { request: Request }): Promise<Response | undefined> {
  const cache = await caches.open(keptPages);
  const inspects = (url: string) => new URL(url).searchParams.has("inspect");
  const kept = await cache.keys();
  const like = kept.find((r) => inspects(r.url) === inspects(request.url)) ?? kept[0];
  return like && cache.match(like, { ignoreVary: true });
}

const guestPages = new NetworkFirst({
  cacheName: keptPages,
  // A network that takes longer is as good as none.
  networkTimeoutSeconds: 5,
  matchOptions: { ignoreVary: true },
  plugins: [new ExpirationPlugin({ maxEntries: 150, maxAgeSeconds: 3 * day }), { handlerDidError: nearest }],
});

// One page holds every calculator: which one is shown is said by the address, in the browser.
const handbook = new NetworkFirst({
  cacheName: keptHandbook,
  networkTimeoutSeconds: 5,
  matchOptions: { ignoreVary: true, ignoreSearch: true },
  plugins: [new ExpirationPlugin({ maxEntries: 5, maxAgeSeconds: 90 * day })],
});

const worker = new Serwist({
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, url, sameOrigin }) => sameOrigin && request.mode === "navigate" && url.pathname === "/guest",
      handler: guestPages,
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === "navigate" && url.pathname === "/handbook",
      handler: handbook,
    },
    {
      matcher: ({ url, sameOrigin }) =>
        sameOrigin && (url.pathname.startsWith("/_next/static/") || url.pathname === "/icon.svg"),
      handler: new CacheFirst({
        cacheName: keptParts,
        plugins: [new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 30 * day })],
      }),
    },
  ],
});
worker.addEventListeners();
