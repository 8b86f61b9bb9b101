<?php

declare(strict_types=1);

namespace Tests;

/**
 * Documents of every format with something planted in a named place. Written part by part, so that nothing stands in
 * them that was not put there.
 */
final class PlantedFiles
{
    private const BODY = [
        'The salt pans of the estuary were let by the year.',
        'A lease names the pan, the rent and the coal, and says nothing of the women who raked it.',
        'What the steward counted was salt; what the parish counted was fuel.',
    ];

    /**
     * @param  array<string, string>  $at  what is planted, by place
     * @param  list<string>|null  $body  paragraphs
     */
    public static function docx(array $at = [], ?array $body = null): string
    {
        $w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"';
        $x = fn (string $text): string => htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);
        $p = fn (string $text): string => '<w:p><w:r><w:t xml:space="preserve">'.$x($text).'</w:t></w:r></w:p>';
        $paragraphs = isset($at['author style'])
            ? '<w:p><w:pPr><w:pStyle w:val="Title"/></w:pPr><w:r><w:t>Salt and fire</w:t></w:r></w:p><w:p><w:pPr><w:pStyle w:val="Author"/></w:pPr><w:r><w:t>'
                .$x($at['author style']).'</w:t></w:r></w:p>'
            : '';
        $paragraphs .= implode('', array_map($p, self::lines($at, $body)));
        if (isset($at['runs'])) { // as writing programs do, a name in several runs
            $half = intdiv(mb_strlen($at['runs']), 2);
            $paragraphs .= '<w:p><w:r><w:t xml:space="preserve">This essay by '.$x(mb_substr($at['runs'], 0, $half))
                .'</w:t></w:r><w:r><w:rPr><w:b/></w:rPr><w:t xml:space="preserve">'.$x(mb_substr($at['runs'], $half))
                .' was</w:t></w:r><w:r><w:t> written at the quay.</w:t></w:r></w:p>';
        }
        if (isset($at['inserted'])) {
            $paragraphs .= '<w:p><w:ins w:id="1" w:author="'.$x($at['inserted'])
                .'" w:date="2026-01-01T00:00:00Z"><w:r><w:t>Added later.</w:t></w:r></w:ins></w:p>';
        }
        if (isset($at['deleted'])) {
            $paragraphs .= '<w:p><w:r><w:t>Kept.</w:t></w:r><w:del w:id="2" w:author="Author"><w:r><w:delText xml:space="preserve">Once by '
                .$x($at['deleted']).'.</w:delText></w:r></w:del></w:p>';
        }
        if (isset($at['link'])) {
            $paragraphs .= '<w:p><w:hyperlink r:id="rL"><w:r><w:t>write to me</w:t></w:r></w:hyperlink></w:p>';
        }
        $paragraphs .= isset($at['table'])
            ? '<w:tbl><w:tr><w:tc>'.$p('Written by').'</w:tc><w:tc>'.$p($at['table']).'</w:tc></w:tr></w:tbl>'
                .$p('After the table.')
            : '';
        $paragraphs .= isset($at['footnote'])
            ? '<w:p><w:r><w:t>Noted</w:t></w:r><w:r><w:footnoteReference w:id="2"/></w:r></w:p>'
            : '';
        $paragraphs .= isset($at['field'])
            ? '<w:p><w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText xml:space="preserve"> AUTHOR "'
                .$x($at['field']).'" </w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r><w:r><w:t>'
                .$x($at['field']).'</w:t></w:r><w:r><w:fldChar w:fldCharType="end"/></w:r></w:p>'
            : '';
        $paragraphs .= isset($at['bookmark'])
            ? '<w:p><w:bookmarkStart w:id="9" w:name="'.$x($at['bookmark'])
                .'"/><w:r><w:t>Marked.</w:t></w:r><w:bookmarkEnd w:id="9"/></w:p>'
            : '';
        $paragraphs .= isset($at['alt'])
            ? '<w:p><w:r><w:drawing><wp:inline xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing"><wp:extent cx="900000" cy="900000"/><wp:docPr id="5" name="'
                .$x($at['alt']).'" descr="'.$x($at['alt']).'" title="'.$x($at['alt'])
                .'"/><a:graphic xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:graphicData uri="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:pic xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:nvPicPr><pic:cNvPr id="0" name="'
                .$x($at['alt'])
                .'"/><pic:cNvPicPr/></pic:nvPicPr><pic:blipFill><a:blip r:embed="rP"/></pic:blipFill><pic:spPr/></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r></w:p>'
            : '';
        $paragraphs .= isset($at['style name'])
            ? '<w:p><w:pPr><w:pStyle w:val="Own"/></w:pPr><w:r><w:t>Styled.</w:t></w:r></w:p>'
            : '';
        $drawn = isset($at['alt'])
            ? 'word/media/'.strtr($at['alt'], [' ' => '-', '/' => '-', '<' => '', '&' => '']).'.png'
            : null;
        $rels = '<Relationship Id="rH" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/header" Target="header1.xml"/><Relationship Id="rF" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/footer" Target="footer1.xml"/><Relationship Id="rC" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/comments" Target="comments.xml"/>'
            .(
                isset($at['link'])
                    ? '<Relationship Id="rL" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/hyperlink" Target="'
                        .$x($at['link']).'" TargetMode="External"/>'
                    : ''
            )
            .(
                isset($at['footnote'])
                    ? '<Relationship Id="rN" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/footnotes" Target="footnotes.xml"/>'
                    : ''
            ).(
                $drawn === null
                    ? ''
                    : '<Relationship Id="rP" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/image" Target="'
                        .$x(substr($drawn, 5)).'"/>'
            )
                .'<Relationship Id="rS" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles" Target="styles.xml"/>'
            .(
                isset($at['template path'])
                    ? '<Relationship Id="rT" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/attachedTemplate" Target="'
                        .$x($at['template path']).'" TargetMode="External"/>'
                    : ''
            );
        $types = '';
        foreach (
            [
                'word/document.xml' => 'wordprocessingml.document.main',
                'word/header1.xml' => 'wordprocessingml.header', 'word/footer1.xml' => 'wordprocessingml.footer',
                'word/comments.xml' => 'wordprocessingml.comments', 'docProps/app.xml' => 'extended-properties',
            ] as $part => $type
        ) {
            $types .= "<Override PartName=\"/{$part}\" ContentType=\"application/vnd.openxmlformats-officedocument.{$type}+xml\"/>";
        }

        return Files::zip([
            '[Content_Types].xml' => '<?xml version="1.0" encoding="UTF-8"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Default Extension="jpeg" ContentType="image/jpeg"/>'
                .$types.'</Types>',
            '_rels/.rels' => '<?xml version="1.0" encoding="UTF-8"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/><Relationship Id="r2" Type="http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties" Target="docProps/core.xml"/><Relationship Id="r3" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/extended-properties" Target="docProps/app.xml"/></Relationships>',
            'word/_rels/document.xml.rels' => '<?xml version="1.0" encoding="UTF-8"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">'
                .$rels.'</Relationships>',
            'word/document.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:document {$w}><w:body>{$paragraphs}<w:sectPr><w:headerReference w:type=\"default\" r:id=\"rH\"/><w:footerReference w:type=\"default\" r:id=\"rF\"/></w:sectPr></w:body></w:document>",
            'word/header1.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:hdr {$w}>"
                .$p($at['header'] ?? 'Coastal Communities').'</w:hdr>',
            'word/footer1.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:ftr {$w}>".$p($at['footer'] ?? 'page')
                .'</w:ftr>',
            'word/comments.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:comments {$w}>".(
                isset($at['comment author'])
                || isset($at['comment'])
                    ? '<w:comment w:id="0" w:author="'.$x($at['comment author'] ?? '').'" w:initials="x">'
                        .$p($at['comment'] ?? 'Check the date.').'</w:comment>'
                    : ''
            ).'</w:comments>',
            'docProps/core.xml' => '<?xml version="1.0" encoding="UTF-8"?><cp:coreProperties xmlns:cp="http://schemas.openxmlformats.org/package/2006/metadata/core-properties" xmlns:dc="http://purl.org/dc/elements/1.1/"><dc:title>'
                .$x($at['title'] ?? 'Salt').'</dc:title><dc:creator>'.$x($at['creator'] ?? '')
                .'</dc:creator><cp:lastModifiedBy>'.$x($at['last modified by'] ?? '')
                .'</cp:lastModifiedBy></cp:coreProperties>',
            'docProps/app.xml' => '<?xml version="1.0" encoding="UTF-8"?><Properties xmlns="http://schemas.openxmlformats.org/officeDocument/2006/extended-properties"><Application>Writer</Application><Company>'
                .$x($at['company'] ?? '').'</Company><Manager>'.$x($at['manager'] ?? '').'</Manager></Properties>',
            ...(
                isset($at['custom'])
                    ? [
                        'docProps/custom.xml' => '<?xml version="1.0" encoding="UTF-8"?><Properties xmlns="http://schemas.openxmlformats.org/officeDocument/2006/custom-properties" xmlns:vt="http://schemas.openxmlformats.org/officeDocument/2006/docPropsVTypes"><property fmtid="{D5CDD505-2E9C-101B-9397-08002B2CF9AE}" pid="2" name="Owner"><vt:lpwstr>'
                            .$x($at['custom']).'</vt:lpwstr></property></Properties>',
                    ]
                    : []
            ),
            ...(
                isset($at['people'])
                    ? [
                        'word/people.xml' => '<?xml version="1.0" encoding="UTF-8"?><w15:people xmlns:w15="http://schemas.microsoft.com/office/word/2012/wordml"><w15:person w15:author="'
                            .$x($at['people']).'"><w15:presenceInfo w15:providerId="None" w15:userId="'
                            .$x($at['people']).'"/></w15:person></w15:people>',
                    ]
                    : []
            ),
            'word/styles.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:styles {$w}>".(
                isset($at['style name'])
                    ? '<w:style w:type="paragraph" w:styleId="Own"><w:name w:val="'.$x($at['style name'])
                        .'"/></w:style>'
                    : ''
            ).'</w:styles>',
            ...(
                isset($at['footnote'])
                    ? [
                        'word/footnotes.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:footnotes {$w}><w:footnote w:id=\"2\">"
                            .$p('With thanks, '.$at['footnote'].'.').'</w:footnote></w:footnotes>',
                    ]
                    : []
            ),
            ...($drawn === null ? [] : [$drawn => self::png($at['alt'])]),
            ...(
                isset($at['settings'])
                    ? [
                        'word/settings.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:settings {$w}><w:docVars><w:docVar w:name=\"owner\" w:val=\""
                            .$x($at['settings']).'"/></w:docVars></w:settings>',
                        'customXml/item1.xml' => '<?xml version="1.0" encoding="UTF-8"?><owner>'.$x($at['settings'])
                            .'</owner>',
                    ]
                    : []
            ),
            ...(isset($at['macro']) ? ['word/vbaProject.bin' => $at['macro']] : []),
            ...(isset($at['embedded']) ? ['word/embeddings/oleObject1.bin' => $at['embedded']] : []),
            ...(
                isset($at['picture'])
                    ? ['word/media/image1.jpeg' => "\xFF\xD8\xFF\xE1\0\x40Exif\0\0Artist\0".$at['picture']."\0\xFF\xD9"]
                    : []
            ),
            ...(isset($at['path']) ? ['../../'.$at['path'].'.xml' => '<x/>'] : []),
        ]);
    }

    /**
     * @param  array<string, string>  $at
     * @param  list<string>|null  $body
     */
    public static function odt(array $at = [], ?array $body = null): string
    {
        $ns = 'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:meta="urn:oasis:names:tc:opendocument:xmlns:meta:1.0" xmlns:style="urn:oasis:names:tc:opendocument:xmlns:style:1.0" xmlns:xlink="http://www.w3.org/1999/xlink" office:version="1.2"';
        $x = fn (string $text): string => htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);
        $paragraphs = implode(
            '', array_map(fn (string $line) => "<text:p>{$x($line)}</text:p>", self::lines($at, $body)),
        );
        $paragraphs .= isset($at['annotation'])
            ? '<text:p>Noted.<office:annotation><dc:creator>'.$x($at['annotation'])
                .'</dc:creator><dc:date>2026-01-01T00:00:00</dc:date><text:p>Check.</text:p></office:annotation></text:p>'
            : '';
        $paragraphs .= isset($at['footnote'])
            ? '<text:p>See the note.<text:note text:note-class="footnote"><text:note-citation>1</text:note-citation><text:note-body><text:p>'
                .$x($at['footnote']).'</text:p></text:note-body></text:note></text:p>'
            : '';
        $paragraphs .= isset($at['link'])
            ? '<text:p><text:a xlink:href="'.$x($at['link']).'">write to me</text:a></text:p>'
            : '';
        $paragraphs .= isset($at['author field'])
            ? '<text:p>Set by <text:author-name>'.$x($at['author field']).'</text:author-name></text:p>'
            : '';
        $paragraphs .= isset($at['table'])
            ? '<table:table xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" table:name="'.$x($at['table'])
                .'"><table:table-column/><table:table-row><table:table-cell><text:p>'.$x($at['table'])
                .'</text:p></table:table-cell></table:table-row></table:table>'
            : '';
        $paragraphs .= isset($at['bookmark'])
            ? '<text:p><text:bookmark text:name="'.$x($at['bookmark']).'"/>Marked.</text:p>'
            : '';
        $paragraphs .= isset($at['alt'])
            ? '<text:p><draw:frame xmlns:draw="urn:oasis:names:tc:opendocument:xmlns:drawing:1.0" xmlns:svg="urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0" draw:name="'
                .$x($at['alt'])
                .'" svg:width="2cm" svg:height="2cm"><draw:image xlink:href="Pictures/one.png"/><svg:title>'
                .$x($at['alt']).'</svg:title><svg:desc>'.$x($at['alt']).'</svg:desc></draw:frame></text:p>'
            : '';
        $changes = isset($at['changed by'])
            ? '<text:tracked-changes><text:changed-region text:id="c1"><text:insertion><office:change-info><dc:creator>'
                .$x($at['changed by'])
                .'</dc:creator><dc:date>2026-01-01T00:00:00</dc:date></office:change-info></text:insertion></text:changed-region></text:tracked-changes>'
            : '';

        return Files::zip([
            'mimetype' => 'application/vnd.oasis.opendocument.text',
            'META-INF/manifest.xml' => '<?xml version="1.0" encoding="UTF-8"?><manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.2"><manifest:file-entry manifest:full-path="/" manifest:media-type="application/vnd.oasis.opendocument.text"/><manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/><manifest:file-entry manifest:full-path="Thumbnails/thumbnail.png" manifest:media-type="image/png"/></manifest:manifest>',
            'content.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><office:document-content {$ns}><office:scripts/><office:font-face-decls/><office:automatic-styles/><office:body><office:text>{$changes}{$paragraphs}</office:text></office:body></office:document-content>",
            'styles.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><office:document-styles {$ns}><office:font-face-decls/><office:styles/><office:automatic-styles/><office:master-styles><style:master-page style:name=\"Standard\"><style:header><text:p>"
                .$x($at['header'] ?? 'Coastal Communities')
                .'</text:p></style:header></style:master-page></office:master-styles></office:document-styles>',
            'meta.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?><office:document-meta {$ns}><office:meta><dc:title>Salt</dc:title><dc:creator>"
                .$x($at['creator'] ?? '').'</dc:creator><meta:initial-creator>'.$x($at['initial creator'] ?? '')
                .'</meta:initial-creator><meta:printed-by>'.$x($at['printed by'] ?? '')
                .'</meta:printed-by><meta:user-defined meta:name="Owner">'.$x($at['user defined'] ?? 'none')
                .'</meta:user-defined></office:meta></office:document-meta>',
            'Thumbnails/thumbnail.png' => 'a small picture of the first page',
            ...(isset($at['alt']) ? ['Pictures/one.png' => self::png($at['alt'])] : []),
        ]);
    }

    /**
     * @param  array<string, string>  $at
     */
    public static function pdf(array $at = []): string
    {
        $text = fn (string $line): string => '<FEFF'
            .strtoupper(bin2hex(mb_convert_encoding($line, 'UTF-16BE', 'UTF-8'))).'>';
        $content = "BT /F1 11 Tf 60 780 Td 14 TL\n".implode(
            '',
            array_map(
                fn (string $line) => '('.addcslashes(mb_convert_encoding($line, 'Windows-1252', 'UTF-8'), '()\\')
                    .") Tj T*\n",
                self::lines($at, null),
            ),
        ).'ET';
        $xmp = '<?xpacket begin="" id="W5M0MpCehiHzreSzNTczkc9d"?><x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description xmlns:dc="http://purl.org/dc/elements/1.1/" rdf:about=""><dc:title><rdf:Alt><rdf:li>Salt</rdf:li></rdf:Alt></dc:title>'
            .(
                isset($at['xmp'])
                    ? '<dc:creator><rdf:Seq><rdf:li>'.htmlspecialchars($at['xmp']).'</rdf:li></rdf:Seq></dc:creator>'
                    : ''
            )
            .'</rdf:Description></rdf:RDF></x:xmpmeta><?xpacket end="w"?>';
        $objects = [
            '<< /Type /Catalog /Pages 2 0 R /Metadata 7 0 R'.(
                isset($at['outline'])
                    ? ' /Outlines << /Type /Outlines /Count 1 /First << /Title '.$text($at['outline'])
                        .' /Dest [3 0 R /Fit] >> >>'
                    : ''
            ).(
                isset($at['piece'])
                    ? ' /PieceInfo << /Own << /LastModified (D:20260101) /Private << /Owner '.$text($at['piece'])
                        .' >> >> >>'
                    : ''
            ).(isset($at['attached']) ? ' /Names << /EmbeddedFiles << /Names [(notes.txt) 9 0 R] >> >>' : '').' >>',
            '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
            '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >>'
                .(isset($at['note by']) ? ' /Annots [8 0 R]' : '').' >>',
            '<< /Length '.strlen($content).">>\nstream\n{$content}\nendstream",
            '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica /Encoding /WinAnsiEncoding >>',
            '<< /Title '.$text($at['title'] ?? 'Salt').' /Author '.$text($at['author'] ?? '').' >>',
            '<< /Type /Metadata /Subtype /XML /Length '.strlen($xmp).">>\nstream\n{$xmp}\nendstream",
            '<< /Type /Annot /Subtype /Text /Rect [60 700 80 720] /Contents (Check) /T '.$text($at['note by'] ?? '')
                .' >>',
            '<< /Type /Filespec /F (notes.txt) /EF << /F 10 0 R >> >>',
            '<< /Type /EmbeddedFile /Length '.strlen($at['attached'] ?? '').">>\nstream\n".($at['attached'] ?? '')
                ."\nendstream",
        ];
        $objects = isset($at['attached']) ? $objects : array_slice($objects, 0, 8);
        $pdf = "%PDF-1.4\n";
        $offsets = [];
        foreach ($objects as $n => $object) {
            $offsets[] = strlen($pdf);
            $pdf .= ($n + 1)." 0 obj\n{$object}\nendobj\n";
        }
        $start = strlen($pdf);
        $pdf .= 'xref'."\n0 ".(count($objects) + 1)."\n0000000000 65535 f \n".implode(
            '', array_map(fn (int $offset) => sprintf("%010d 00000 n \n", $offset), $offsets),
        );

        return $pdf.'trailer << /Size '.(count($objects) + 1)." /Root 1 0 R /Info 6 0 R >>\nstartxref\n{$start}\n%%EOF";
    }

    /** A picture whose properties name somebody (PNG, Portable Network Graphics Specification, chunk tEXt). */
    public static function png(string $author): string
    {
        $image = imagecreatetruecolor(40, 40);
        ob_start();
        imagepng($image);
        $png = (string) ob_get_clean();
        $chunk = "tEXtAuthor\0{$author}";

        return substr($png, 0, 33).pack('N', strlen($chunk) - 4).$chunk.pack('N', crc32($chunk)).substr($png, 33);
    }

    /**
     * @param  array<string, string>  $at
     */
    public static function rtf(array $at = []): string
    {
        $x = fn (string $text): string => implode(
            '',
            array_map(
                fn (string $letter) => mb_ord($letter) < 128 ? addcslashes($letter, '{}\\') : '\\u'.mb_ord($letter).'?',
                mb_str_split($text),
            ),
        );
        $info = isset($at['author']) || isset($at['operator']) || isset($at['company'])
            ? '{\info{\title Salt}{\author '.$x($at['author'] ?? '').'}{\operator '.$x($at['operator'] ?? '')
                .'}{\*\company '.$x($at['company'] ?? '').'}}'
            : '{\info{\title Salt}}';

        return '{\rtf1\ansi\ansicpg1252\deff0{\fonttbl{\f0 '.$x($at['font'] ?? 'Serif').';}}'.$info.(
            isset($at['revisers']) ? '{\*\revtbl {Unknown;}{'.$x($at['revisers']).';}}' : ''
        ).'{\header \pard '.$x($at['header'] ?? 'Coastal Communities').'\par}'
            .implode('', array_map(fn (string $line) => '\pard '.$x($line)."\\par\n", self::lines($at, null))).(
                isset($at['note by'])
                    ? '{\*\atnid XX}{\*\atnauthor '.$x($at['note by']).'}\chatn {\*\annotation Check.}'
                    : ''
            ).'}';
    }

    /**
     * @param  array<string, string>  $at
     */
    public static function html(array $at = []): string
    {
        $x = fn (string $text): string => htmlspecialchars($text);

        return '<!DOCTYPE html><html><head><meta charset="utf-8"><title>'.$x($at['title'] ?? 'Salt').'</title>'.(
            isset($at['meta']) ? '<meta name="author" content="'.$x($at['meta']).'">' : ''
        ).'</head><body>'.(isset($at['comment']) ? '<!-- '.$x($at['comment']).' -->' : '')
            .implode(
                "\n", array_map(fn (string $line) => "<p>{$x($line)}</p>", self::lines($at, null)),
            ).(
                isset($at['link']) ? '<p><a href="'.$x($at['link']).'">write to me</a></p>' : ''
            ).(isset($at['alt']) ? '<img src="x.png" alt="'.$x($at['alt']).'">' : '').(
                isset($at['marked up'])
                    ? '<p>This is by <b>'.$x(strtok($at['marked up'], ' ') ?: '').'</b> <i>'
                        .$x(trim(strstr($at['marked up'], ' ') ?: '')).'</i>, of the quay.</p>'
                    : ''
            ).'</body></html>';
    }

    /**
     * @param  array<string, string>  $at
     */
    public static function markdown(array $at = []): string
    {
        return (
            isset($at['front']) ? "---\ntitle: Salt\nauthor: {$at['front']}\n---\n\n" : ''
        ).(isset($at['comment']) ? "<!-- {$at['comment']} -->\n\n" : '').implode("\n\n", self::lines($at, null))."\n";
    }

    /**
     * @param  array<string, string>  $at
     */
    public static function text(array $at = []): string
    {
        return implode("\n\n", self::lines($at, null))."\n";
    }

    /**
     * @param  array<string, string>  $at
     * @param  list<string>|null  $body
     * @return list<string>
     */
    private static function lines(array $at, ?array $body): array
    {
        $lines = $body ?? self::BODY;

        return [
            ...(isset($at['first line']) ? [$at['first line']] : []), 'Salt and those who raked it', ...$lines,
            ...(isset($at['text']) ? ["As {$at['text']} wrote elsewhere, nobody asked them."] : []), ...$lines,
            ...(isset($at['last line']) ? [$at['last line']] : []),
        ];
    }
}
