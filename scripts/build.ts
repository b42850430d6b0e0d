// The build as `npm start` makes it: only where a source changed since the last one.
import { ensureBuilt } from "./lib/prepare.mjs";

ensureBuilt();
