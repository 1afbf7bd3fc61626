export { demoShop } from './shop';
