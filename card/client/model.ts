// The brew model and what stands on it: fetched only where somebody asks for it.
export { kitchenAdvice, scalePlan } from '@vendu/core';
