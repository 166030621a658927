/** The file of the library that holds vectors alone; it ships types for the whole only. */
declare module 'gl-matrix/vec3' {
  import { vec3 } from 'gl-matrix';

  export = vec3;
}

declare module 'gl-matrix/quat' {
  import { quat } from 'gl-matrix';

  export = quat;
}
