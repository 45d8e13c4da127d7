// The package ships this module without types; the schema generator needs the storage it holds.
declare module 'class-transformer/cjs/storage.js' {
  import type { MetadataStorage } from 'class-transformer/types/MetadataStorage.js';
  export const defaultMetadataStorage: MetadataStorage;
}
