export { FormScene } from './formScene';
export { formAsGlb, formAsObj, toyAsGlb, toyAsObj } from './saveForm';
