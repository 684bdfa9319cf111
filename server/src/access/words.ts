/** What a passphrase is made of: 256 short words of things on a table and out of its window, each of them once. */
export const passphraseWords: readonly string[] = `
acorn agate alder almond amber anchor apple apron arrow ash aspen autumn
badge bamboo barley basil basket bead beech berry birch bishop blanket bloom
blossom boat bobbin bonnet border bottle bramble brass bread breeze brick bridge
brook broom brush bubble bucket button cabin cable candle canvas cardinal carrot
castle cedar cello chalk cherry chestnut chimney cider cinder circle clay cliff
clover cobalt cocoa comet copper coral cork cotton cradle crane cricket crystal
cushion daisy dapple dawn denim desert dew dome dragon drum dune dusk
eagle echo elder elm ember evening falcon feather fennel fern field finch
fire flag flax flint flute forest fossil fountain frost galaxy garden garnet
ginger glacier glass globe gold goose granite grape gravel guitar hammer harbor
harp harvest hazel heather hedge heron hill hive holly honey hornet house
indigo iris island ivory ivy jacket jasmine jewel juniper kettle kite ladder
lagoon lake lantern larch lark laurel lavender leaf lemon lichen lilac linen
lizard lotus magnet maple marble meadow melon meteor mill mint mirror mitten
moon moss moth mountain nectar needle nettle north nutmeg oak oasis ocean
olive onyx orbit orchard orchid otter owl oyster paddle palm paper parsley
pearl pebble pepper petal piano pillow pine planet plum pocket pollen pond
poplar poppy prism puffin pumpkin quarry quartz quill quilt rabbit rain raven
reed ribbon river robin rocket rose rowan ruby saddle saffron sage sail
salmon sand satin saturn seed shadow shell silk silver sky slate snow
sparrow spice spruce star stone storm summer swan tulip valley velvet violet
walnut willow winter wren
`
  .trim()
  .split(/\s+/);
