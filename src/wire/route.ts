import { type InferType, type Lazy, mixed, type ObjectSchema, type ObjectShape, type Schema } from "yup";
import type { Frozen } from "@/core/validate";
import { strictObject } from "@/core/validate";

/** A schema, or one that is chosen by the value. */
export type AnySchema = Schema | Lazy<unknown>;

declare const stands: unique symbol;

/** A schema of a type that stands elsewhere. */
export type Standing<T> = Schema<T> & { readonly [stands]: T };

function standing<T>(schema: Schema): Standing<T> {
  return schema as Standing<T>;
}

type Described<S> = S extends { readonly [stands]: infer T }
  ? T
  : S extends AnySchema
    ? Frozen<InferType<S>>
    : never;

/**
 * An answer whose type stands in core: each of its fields is described, none is left out and none made up, and each
 * description lets through what the field is. What the compiler says of a new field is said here.
 */
export function answerOf<T>() {
  return <const S extends { readonly [K in keyof T]-?: AnySchema }>(
    fields: S & {
      readonly [K in keyof S]: K extends keyof T ? (T[K] extends Described<S[K]> ? S[K] : never) : never;
    },
  ): Standing<T> => standing(strictObject(fields as ObjectShape));
}

/** What a caller sends, where the body's schema hands on what it read instead. */
export function sentAs<T>(): Standing<T> {
  return standing(mixed());
}

/** One route of the API: the endpoint parses by it, the description of the API is written from it, the caller's types follow from it. */
export interface Route {
  /** What it does, in one line. */
  readonly about: string;
  readonly params?: ObjectSchema<object>;
  /** Query parameters by name, each with what it asks for. */
  readonly query?: Readonly<Record<string, string>>;
  readonly body?: AnySchema;
  /** What a caller sends, where the body's schema hands on something else. */
  readonly sent?: AnySchema;
  /** Most bytes of a file, where the body is one. */
  readonly fileUpTo?: number;
  /** What a success looks like, where it is JSON. */
  readonly answer?: AnySchema;
  /** The type of the answer, where it is another. */
  readonly answers?: string;
  /** Asked with a body or for its doing, it changes no record: it is served while the records are closed. */
  readonly keepsNothing?: true;
}

/** Declares the routes of a file by their method and path. */
export function routes<const R extends Readonly<Record<`${Method} /api/${string}`, Route>>>(given: R): R {
  return given;
}

export type Method = "GET" | "POST" | "PUT" | "DELETE";

export type ParamsOf<R> = R extends { readonly params: infer P } ? Described<P> : undefined;
export type QueryOf<R> = R extends { readonly query: infer Q }
  ? { readonly [K in keyof Q]?: string }
  : undefined;
/** What the endpoint gets, read. */
export type BodyOf<R> = R extends { readonly body: infer B } ? Described<B> : undefined;
/** What a caller sends. */
export type SentOf<R> = R extends { readonly sent: infer T }
  ? Described<T>
  : R extends { readonly fileUpTo: number }
    ? Blob
    : BodyOf<R>;
export type AnswerOf<R> = R extends { readonly answer: infer A } ? Described<A> : undefined;
