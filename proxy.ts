import { randomBytes } from "node:crypto";
import { type NextRequest, NextResponse } from "next/server";

/** What is no page, a stranger's picture above all, may load and run nothing at all. */
const noPage = "default-src 'none'; frame-ancestors 'none'";

// Security headers on every answer, and here alone: what a route sets of them is overwritten. On a page nothing is
// loaded from another host, and scripts run only with this answer's nonce.
export function proxy(request: NextRequest) {
  const nonce = randomBytes(16).toString("base64");
  const dev = process.env.NODE_ENV === "development";
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  const isPage = !request.nextUrl.pathname.startsWith("/api/");
  response.headers.set("content-security-policy", isPage ? policy : noPage);
  response.headers.set("x-content-type-options", "nosniff");
  response.headers.set("referrer-policy", "same-origin");
  response.headers.set("permissions-policy", "camera=(self), microphone=(), geolocation=()");
  response.headers.set("cross-origin-opener-policy", "same-origin");
  return response;
}

export const config = { matcher: [{ source: "/((?!_next/static|_next/image|icon.svg).*)" }] };
