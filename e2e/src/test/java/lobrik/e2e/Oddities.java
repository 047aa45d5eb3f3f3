package lobrik.e2e;

import java.util.List;
import java.util.Map;

/** What somebody may send by mistake or on purpose: at the borders of every range, and beyond. */
final class Oddities {

    /** Stands for what no JSON library writes; replaced in the text. */
    static final Map<String, String> UNWRITABLE =
            Map.of("@NUL@", "\\u0000", "@HALF@", "\\ud800", "@REVERSED@", "\\udc00\\ud800");

    static final List<String> TEXTS = List.of(
            "",
            " ",
            "a",
            "6 1/16",
            "18",
            "30.1",
            "-1",
            "1/0",
            "1e999",
            "9".repeat(400),
            "@NUL@",
            "x@NUL@y",
            "@HALF@",
            "@REVERSED@",
            "\uD83D\uDE00",
            "\u202Eabc",
            "=cmd|' /C calc'!A0",
            "<script>alert(1)</script>",
            "'; drop table attempt; --",
            "../../etc/passwd",
            "x".repeat(5000),
            "B1",
            "3/4",
            "EMT",
            "2026-11-28",
            "-999999-01-01",
            "+999999999-12-31T23:59:59Z",
            "2026-11-28T10:00:00Z",
            "0000-00-00",
            "1970-01-01T00:00:00Z",
            "lead",
            "runa");

    static final List<String> NUMBERS = List.of(
            "0",
            "1",
            "-1",
            "2",
            "3",
            "0.5",
            "10",
            "18",
            "30",
            "45",
            "90",
            "180",
            "-0.0",
            "1e-320",
            "1e308",
            "-1e308",
            "1e400",
            "9007199254740993",
            "2147483648",
            "-9223372036854775809",
            "123456789012345678901234567890");

    static final List<Integer> COUNTS = List.of(0, 1, 2, 3, 4, 5, 10, 100, -1, Integer.MAX_VALUE, Integer.MIN_VALUE);

    static final List<String> TIMES = List.of(
            "2026-11-28T10:00:00Z",
            "1970-01-01T00:00:00Z",
            "1900-01-01T00:00:00Z",
            "2999-12-31T23:59:59.999999999Z",
            "3000-01-01T00:00:00Z",
            "-999999-01-01T00:00:00Z",
            "+294277-01-01T00:00:00Z",
            "2026-11-28T10:00:00+14:00");

    static final List<String> SEGMENTS = List.of(
            "x",
            "%00",
            "%ff",
            "%C0%80",
            "%ED%A0%80",
            "%E0%A4%A",
            "%",
            "..",
            ".",
            "%2e%2e",
            "%2F",
            ";a=b",
            "%F0%9F%98%80",
            "0",
            "-1",
            "null",
            "00000000-0000-0000-0000-000000000000",
            "A".repeat(3000),
            "ABCD-EFGH",
            "~",
            "%0d%0aX:%20y");

    static final List<String> TYPES = List.of(
            "application/json",
            "application/json;charset=utf-16",
            "text/plain",
            "application/xml",
            "application/x-www-form-urlencoded",
            "multipart/form-data",
            "multipart/form-data; boundary=x",
            "image/jpeg",
            "*/*",
            "nonsense");

    private Oddities() {}
}
