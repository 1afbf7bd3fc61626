declare const brand: unique symbol;

/** Identifier of a row, branded by the name of what it names. Made at two places only: where one is made anew, and where text is read. */
export type Id<Name extends string> = string & { readonly [brand]: Name };

/** A new identifier. */
export const newId = <Name extends string>(): Id<Name> => crypto.randomUUID() as string as Id<Name>;

/** Text that was read, an address or a file, as an identifier of a row that may be there or not. */
export const asId = <Name extends string>(text: string): Id<Name> => text as Id<Name>;
