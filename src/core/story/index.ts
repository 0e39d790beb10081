export { storyOf, type Turn } from './storyOf';
