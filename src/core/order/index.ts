export { shortageOf, type OrderNeeds, type Shortage } from './shortage';
