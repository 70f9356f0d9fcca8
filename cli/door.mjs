// What a request may bring, decided from its head alone.

const kB = 1000;
const MB = 1000 * kB;

/** More bytes than this take a place among the few large requests at a time. */
const largeFrom = 2 * MB;
const mostLarge = 4;

/**
 * How many bytes may come to an address: whole files where files are taken in, pictures and rosters inside a project,
 * and little from those who are not signed in.
 */
function mostBytes(path, cookie) {
  const signedIn = /(^|;\s*)ironstone_session=/.test(cookie);
  const guest = /(^|;\s*)ironstone_guest=/.test(cookie);
  if (!signedIn && !guest) return 64 * kB;
  if (signedIn && (path === "/import" || path === "/school")) return 64 * MB;
  if (signedIn && path.startsWith("/p/")) return 36 * MB;
  return 1 * MB;
}

/** What a request says that it brings, and what it may. */
export function limitOf(req) {
  const path = new URL(req.url ?? "/", "http://here").pathname;
  const bytes = Number(req.headers["content-length"] ?? 0);
  return { bytes, most: mostBytes(path, req.headers.cookie ?? ""), large: bytes > largeFrom };
}

/** Why a request is refused before anything of it is read; null when it may come in. */
export function refusal(req, large) {
  if (req.headers["transfer-encoding"])
    return { status: 411, message: "Say how long it is (Content-Length): a request of unknown length is not taken." };
  const { bytes, most, large: isLarge } = limitOf(req);
  if (!Number.isFinite(bytes) || bytes < 0)
    return { status: 400, message: "The length of the request is not a number." };
  if (bytes > most)
    return {
      status: 413,
      message: `This is too large: at most ${most < MB ? `${most / kB} kB` : `${most / MB} MB`} are taken here.`,
    };
  if (isLarge && large >= mostLarge)
    return { status: 503, message: "Several large files are being taken in. Try again in a moment." };
  return null;
}
