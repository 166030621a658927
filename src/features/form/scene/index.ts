export { FormScene } from './formScene';
export { formAsGlb, formAsObj } from './saveForm';
