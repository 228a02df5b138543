import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/lesson.json', { eager: true, import: 'default' }))
