import type { Endpoint } from "@/server/http/endpoint";
import type { Route } from "@/wire/route";
import { type RouteName, WIRE } from "@/wire/wire";

/** A route of the wire with what serves it. */
export interface Served {
  readonly name: RouteName;
  readonly file: string;
  readonly method: string;
  readonly path: string;
  readonly route: Endpoint;
  readonly declared: Route;
}

const METHODS = ["GET", "POST", "PUT", "DELETE"] as const;
const FILES = import.meta.glob<Readonly<Record<string, unknown>>>("/src/pages/api/**/*.ts", { eager: true });

const isServing = (given: unknown): given is Endpoint => typeof given === "function" && "serves" in given;

/** Every route that a file serves. */
export const SERVED: readonly Served[] = Object.entries(FILES).flatMap(([file, exported]) =>
  METHODS.flatMap((method): Served[] => {
    const route = exported[method];
    if (route === undefined) return [];
    if (!isServing(route)) throw new Error(`${file} ${method} is no route of the wire`);
    const name = route.serves;
    return [{ name, file, method, path: name.slice(method.length + 1), route, declared: WIRE[name] }];
  }),
);

/** Address of a route file: `/src/pages/api/jobs/[id]/index.ts` is `/api/jobs/{id}`. */
export function addressOfFile(file: string): string {
  return file
    .replace(/^\/src\/pages/, "")
    .replace(/(\/index)?\.ts$/, "")
    .replace(/\[(\w+)\]/g, "{$1}");
}
