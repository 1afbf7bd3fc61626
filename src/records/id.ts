/** Identifier of a row, branded by the name of what it names. */
export type Id<Name extends string> = string & { readonly __id?: Name };
