// The process that serves: the built application behind a door that looks at a request before anything of it is read.
import { createServer } from "node:http";
import next from "next";
import { limitOf, refusal } from "./door.mjs";

const [port, host] = [Number(process.env.PORT), process.env.HOST];
const proxy = process.env.IRONSTONE_PROXY === "1";

// Whoever started this holds the other end of a line; when that end is gone, so is the reason to serve.
process.on("disconnect", () => process.exit(0));

const app = next({ dev: false, dir: process.cwd(), hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();

let large = 0;
// A connection is kept longer than browsers and proxies keep theirs: none of them sends into one that was just closed.
const server = createServer(
  { headersTimeout: 20_000, requestTimeout: 300_000, keepAliveTimeout: 75_000 },
  (req, res) => {
    if (!proxy) {
      // Only a declared proxy may say on whose behalf it asks; otherwise it is whoever is connected.
      for (const name of ["x-forwarded-host", "x-forwarded-proto", "x-forwarded-port", "forwarded", "x-real-ip"])
        delete req.headers[name];
      req.headers["x-forwarded-for"] = req.socket.remoteAddress ?? "";
    }
    const no = refusal(req, large);
    if (no) {
      res.writeHead(no.status, { "content-type": "text/plain; charset=utf-8", connection: "close" });
      res.end(no.message, () => req.socket.destroySoon());
      return;
    }
    if (limitOf(req).large) {
      large++;
      res.once("close", () => large--);
    }
    void handle(req, res);
  },
);
server.listen(port, host, () => process.send?.("ready"));
