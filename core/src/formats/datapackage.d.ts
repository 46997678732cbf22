/** The few calls of the checker that the tests use; the package ships no types. */
declare module 'datapackage' {
  export interface Resource {
    readonly name: string;
    readonly tabular: boolean;
    readonly errors: readonly Error[];
    readonly schema: { readonly foreignKeys: readonly unknown[] };
    read(options: { keyed?: boolean; relations?: boolean }): Promise<unknown[]>;
  }
  export class Package {
    static load(descriptor: string, options: { basePath: string }): Promise<Package>;
    readonly valid: boolean;
    readonly errors: readonly Error[];
    readonly resources: readonly Resource[];
  }
}
