import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/ingredients.json', { eager: true, import: 'default' }))
