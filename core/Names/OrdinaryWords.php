<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Names;

/**
 * Words that are also names. A name made of such words alone is looked for as names are written, never as words.
 */
final class OrdinaryWords
{
    /**
     * Given and family names that are everyday English words, from memory; single letters and pairs of letters are
     * always among them.
     */
    private const WORDS = 'abbey abbot amber angel april archer art ash ashes august autumn baker ball banks barber barker bass bay bean beach bell berry best bill bird bishop black blue bloom bond booker booth bow bowman boy brand brandy bridge bridges bright brook brooks brown bruce buck bull burn burns bush butcher butler byrd carol carpenter carter case cash castle chamber chambers chance chandler chapel chapman chase chin christian church clark clay clement cliff clay coal cole coin coke cook cooper corn cotton court cove cox craft crane cross crow curry dale dawn day dean dear deer dell dew diamond dock dolphin dove down drake draper drew drum duck duke dusk dyer early east eden elder ember english ever fair faith falls farmer farrier fawn fern field fields finch fine fisher flint flood flora flower flowers forest ford forge fort foster fountain fox francis frank free freeman french friend frost fuller gale garden gardener garland gates gay gem gene ginger glass glen glover gold golden good goose grace grant gray green grey grove guard guy hall ham hammer hand hands harbour hardy harp harper hart harvest hatch hatter haven hawk hay hazel head heath heather hedge herald heron herring hill hills hobby holly holmes holy home honey hood hook hope horn house hunt hunter ice inn iris iron island ivory ivy jack jade jasper jay jean jet jewel joy joiner judge june justice keen kent key kind king kings kitchen knight lake lamb lance land lane lark laurel law lawn leaf lean ledger lee lily lion little lock long lord love low lucky luna mace main major manger mann march marina mark marks marsh martin mason master may mayor mead meadow melody mercy merry middle miles mill miller mills mine mint mist moon moor moore moss mount mountain murphy myrtle nails nash neat needle nest new newman nice night noble noon north oak oakes oliver olive opal orchard owl page paine palm palmer parish park parker parson past patience peace peak pear pearl penny pepper perch piper pike pilgrim pilot pine pink pitt place plant plum poet pole pollard pond pool poole pope poppy porter post potter pound power powers price priest prince prior proctor prudence quick quill quay rain rainbow ray reader reed reef reeve reeves rich ridge ring rising river rivers roach road robin rock roe roman root roots rope rose rosemary row rowan ruby rudder rule rush rusty sadler saffron sage sailor salmon salt sand sandy sands savage sawyer scarlet school sea seal senior sergeant sexton shade sharp shaw shell shepherd ship shore short silver singer skinner sky slate sloane small smart smith snow sole south spark sparks spear spicer spring spruce squire star stark steel stern steward still stock stocks stone stones storm stout strand stream street strong summer summers sun sunny swan sweet swift sword tanner taylor temple tern terry thatcher thorn tide tiger todd tower towers town trap tree trip true tucker tulip turner twist tyler usher vale valley venture verity victor victory vine viola violet virtue wade wain wait walker wall walls waller ward warden warren washer waters wave way weaver webb weir well wells west wharf wheat wheel wheeler white wild wilder will willow win winch wind winds wine wing wings winner winter winters wise wolf wood woods wool worth wren wright yard york young';

    /** @var array<string, true>|null */
    private static ?array $known = null;

    public static function has(string $name): bool
    {
        self::$known ??= array_fill_keys(explode(' ', self::WORDS), true);

        return mb_strlen($name) <= 2 || isset(self::$known[mb_strtolower($name)]);
    }
}
