// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <filesystem>

#include "script.h"
#include "support/archives.h"
#include "support/catch.h"
#include "support/fact_files.h"
#include "support/temp_folder.h"

// tavloctl unpack, as a script uses it, on archives that others wrote.

namespace {

const nlohmann::json& item_of(const nlohmann::json& items, const std::string& target) {
    for (const auto& item : items)
        if (item["target"] == target) return item;
    static const nlohmann::json none;
    FAIL(target + " is no item");
    return none;
}

}  // namespace

TEST_CASE("an archive comes in a folder of its name, or in the one that all it holds lies in", "[unpack]") {
    const TempFolder temp;
    const Script script(temp);
    by_python(temp.path(), R"(
with zipfile.ZipFile('permits.zip', 'w') as z: z.writestr('a.txt', 'a'); z.writestr('maps/b.txt', 'b')
with tarfile.open('year.tar.gz', 'w:gz') as t: member(t, './2030/c.txt', b'c')
)");
    const auto ran = script.run(
        {"unpack", temp.path("permits.zip"), temp.path("year.tar.gz"), "--into", temp.path("to"), "--json"});
    CAPTURE(ran.err);
    REQUIRE(ran.status == 0);
    CHECK(ran.json()["operation"] == "unpack");
    CHECK(ran.json()["destination"] == temp.path("to"));
    CHECK(temp.read("to/permits/a.txt") == "a");
    CHECK(temp.read("to/permits/maps/b.txt") == "b");
    CHECK(temp.read("to/2030/c.txt") == "c");
    const auto items = ran.items();
    CHECK(items.size() == 6);
    CHECK(item_of(items, temp.path("to/permits"))["source"] == temp.path("permits.zip"));
    CHECK(item_of(items, temp.path("to/permits/maps"))["source"] == temp.path("permits.zip/maps"));
    CHECK(item_of(items, temp.path("to/2030/c.txt"))["source"] == temp.path("year.tar.gz/2030/c.txt"));
    const auto check = script.run({"check", ran.json()["id"], "--json"});
    CHECK(check.status == 0);
    CHECK(script.run({"undo", ran.json()["id"]}).status == 0);
    CHECK_FALSE(temp.has("to/permits"));
    CHECK(temp.has("permits.zip"));
    const auto inside = script.run({"unpack", temp.path("permits.zip"), temp.path("year.tar.gz"), "--into",
                                    temp.path("flat"), "--contents", "--name", "*.txt", "--json"});
    CHECK(inside.status == 0);
    CHECK(temp.read("flat/a.txt") == "a");
    CHECK(temp.read("flat/c.txt") == "c");
}

TEST_CASE("what is there already is compared by its bytes, a name that stands twice is a twin", "[unpack]") {
    const TempFolder temp;
    const Script script(temp);
    by_python(temp.path(), R"(
with zipfile.ZipFile('x.zip', 'w') as z:
    z.writestr('same.txt', 'same'); z.writestr('other.txt', 'othr'); z.writestr('twice.txt', '1'); z.writestr('twice.txt', '2')
)");
    temp.write("to/x/same.txt", "same");
    temp.write("to/x/other.txt", "OTHR");
    temp.date("to/x/other.txt", 1'000'000'000);
    const std::vector<std::string> words{"unpack", temp.path("x.zip"), "--into", temp.path("to"), "--json"};
    auto planned = words;
    planned.insert(planned.end(), {"--plan", "--when", "newer=overwrite", "--when", "same=skip"});
    const auto plan = script.run(planned);
    CHECK(plan.status == 3);
    CHECK(item_of(plan.items(), temp.path("to/x/same.txt"))["collision"]["finding"] == "same");
    CHECK(item_of(plan.items(), temp.path("to/x/other.txt"))["collision"]["finding"] == "newer");
    auto wanted = words;
    wanted.insert(wanted.end(),
                  {"--when", "newer=overwrite", "--when", "same=skip", "--when", "twin=rename"});
    const auto ran = script.run(wanted);
    CHECK(ran.status == 0);
    CHECK(temp.read("to/x/other.txt") == "othr");
    CHECK(temp.read("to/x/twice.txt") == "1");
    CHECK(temp.read("to/x/twice-2.txt") == "2");
    int twins = 0;
    for (const auto& item : ran.items()) {
        if (item["collision"].is_null() || item["collision"]["finding"] != "twin") continue;
        ++twins;
        CHECK(item["source"] == temp.path("x.zip/twice.txt"));
    }
    CHECK(twins == 2);
    CHECK(script.run({"undo", ran.json()["id"]}).status == 0);
    CHECK(temp.read("to/x/other.txt") == "OTHR");
    const auto left = script.run({"unpack", temp.path("x.zip"), "--into", temp.path("new")});
    CHECK(left.status == 3);
    CHECK_FALSE(temp.has("new/x/twice.txt"));
}

TEST_CASE("hostile members fail one by one, with their reason, and nothing leaves the folder", "[unpack]") {
    const TempFolder temp;
    const Script script(temp);
    by_python(temp.path(), R"(
with tarfile.open('h.tar', 'w', format=tarfile.PAX_FORMAT) as t:
    member(t, 'good', b'good', mode=0o6755)
    member(t, '../evil', b'e'); member(t, os.path.abspath('abs'), b'a')
    member(t, 'l', type=tarfile.SYMTYPE, linkname=os.path.abspath('outside')); member(t, 'l/through', b't')
    member(t, 'fifo', type=tarfile.FIFOTYPE); member(t, 'dev', type=tarfile.CHRTYPE, devmajor=1, devminor=3)
    member(t, 'hard', type=tarfile.LNKTYPE, linkname='/etc/hostname')
    member(t, 'n' * 256, b'n'); member(t, 'a/' * 200000 + 'deep', b'd'); member(t, 'l' * 100000, b'l')
os.mkdir('outside')
with zipfile.ZipFile('z.zip', 'w') as z:
    z.writestr('ok', 'ok'); z.writestr('bad', 'b' * 500); z.writestr('back\\slash', 'x')
d = bytearray(open('z.zip', 'rb').read()); d[d.index(b'bbbb') + 9] ^= 1; open('z.zip', 'wb').write(d)
)");
    const auto tar = script.run({"unpack", temp.path("h.tar"), "--into", temp.path("to"), "--json"});
    CHECK(tar.status == 1);
    CHECK(tar.json()["totals"]["failed"] == 9);
    CHECK(temp.read("to/h/good") == "good");
    CHECK_FALSE(temp.has("evil"));
    CHECK_FALSE(temp.has("to/evil"));
    CHECK_FALSE(temp.has("abs"));
    CHECK_FALSE(temp.has("outside/through"));
    struct stat status {};
    REQUIRE(::lstat(temp.path("to/h/l").c_str(), &status) == 0);
    CHECK(S_ISLNK(status.st_mode));
    REQUIRE(::stat(temp.path("to/h/good").c_str(), &status) == 0);
    CHECK((status.st_mode & 07777) == 0755);
    for (const auto& item : tar.items())
        if (item["result"] == "failed") CHECK_FALSE(item["error"].get<std::string>().empty());
    const auto zip = script.run({"unpack", temp.path("z.zip"), "--into", temp.path("to"), "--json"});
    CHECK(zip.status == 1);
    CHECK(item_of(zip.items(), temp.path("to/z/bad"))["result"] == "failed");
    CHECK_FALSE(temp.has("to/z/bad"));
    CHECK(temp.read("to/z/ok") == "ok");
    CHECK(temp.read("to/z/back\\slash") == "x");
}

TEST_CASE("what cannot be trusted as a whole is refused, what was whole before damage stays", "[unpack]") {
    const TempFolder temp;
    const Script script(temp);
    by_python(temp.path(), R"(
for kind in ('gz', 'xz', 'bz2'):
    with tarfile.open('t.tar.' + kind, 'w:' + kind) as t:
        member(t, 'a', b'a' * 3000); member(t, 'b', os.urandom(400000))
d = bytearray(open('t.tar.gz', 'rb').read()); d[-6] ^= 1; open('sum.tar.gz', 'wb').write(d)
d = bytearray(open('t.tar.xz', 'rb').read()); d[len(d) // 2] ^= 1; open('sum.tar.xz', 'wb').write(d)
d = open('t.tar.gz', 'rb').read(); open('cut.tar.gz', 'wb').write(d[:len(d) // 2])
open('empty.zip', 'wb'); open('text.zip', 'w').write('no archive at all\n' * 40)
)");
    for (const char* name : {"sum.tar.gz", "sum.tar.xz", "empty.zip", "text.zip", "not-there.zip"}) {
        CAPTURE(name);
        const auto refused = script.run({"unpack", temp.path(name), "--into", temp.path("to"), "--json"});
        CHECK(refused.status == 2);
        CHECK(refused.out.empty());
        CHECK(refused.err.find(name) != std::string::npos);
        CHECK_FALSE(temp.has("to"));
    }
    const auto cut = script.run({"unpack", temp.path("cut.tar.gz"), "--into", temp.path("to"), "--json"});
    CHECK(cut.status == 1);
    CHECK(temp.read("to/cut/a") == std::string(3000, 'a'));
    CHECK_FALSE(temp.has("to/cut/b"));
    CHECK(script.run({"unpack", temp.path("t.tar.gz"), "--into", temp.path("t.tar.gz/in")}).status == 2);
    CHECK(script.run({"unpack", temp.path("t.tar.gz"), "--into", temp.path("t.tar.xz")}).status == 2);
    CHECK(script.run({"unpack", temp.path("t.tar.gz"), "--into", temp.path("to"), "--keep-from", temp.path()})
              .status == 2);
}

TEST_CASE(
    "names are bytes: composed or not, of code page 437 where they are no UTF-8, encrypted members fail",
    "[unpack]") {
    const TempFolder temp;
    const Script script(temp);
    by_python(temp.path(), R"(
with tarfile.open('t.tar', 'w', format=tarfile.PAX_FORMAT) as t: member(t, 'e\u0301', b'1'); member(t, '\u00e9', b'2')
with zipfile.ZipFile('z.zip', 'w') as z: z.writestr('e\u0301', '1'); z.writestr('\u00e9', '2'); z.writestr('Q', '3')
d = open('z.zip', 'rb').read(); open('z.zip', 'wb').write(d.replace(b'Q', b'\x81'))
open('secret.txt', 'w').write('secret'); open('plain.txt', 'w').write('plain')
os.system('zip -q -P word s.zip secret.txt && zip -q s.zip plain.txt')
)");
    REQUIRE(
        script.run({"unpack", temp.path("t.tar"), temp.path("z.zip"), "--into", temp.path("to")}).status ==
        0);
    for (const char* from : {"t", "z"}) {
        CHECK(temp.read(std::string("to/") + from + "/e\u0301") == "1");
        CHECK(temp.read(std::string("to/") + from + "/\u00e9") == "2");
    }
    CHECK(temp.read("to/z/\u00fc") == "3");
    const auto secret = script.run({"unpack", temp.path("s.zip"), "--into", temp.path("to"), "--json"});
    CHECK(secret.status == 1);
    CHECK(item_of(secret.items(), temp.path("to/s/secret.txt"))["error"] == "is encrypted");
    CHECK(temp.read("to/s/plain.txt") == "plain");
}

TEST_CASE("a 7z of which a member is encrypted gives the others, and one whose names are encrypted says so",
          "[unpack]") {
    const TempFolder temp;
    const Script script(temp);
    by_python(temp.path(), R"(
import base64
open('mixed.7z', 'wb').write(base64.b64decode(
    'N3q8ryccAAQ7adp0oQAAAAAAAAAiAAAAAAAAAPRXIQEBAAhvcGVuIHRleHQA57sqGsoyep1Kjgdb5UI91QAAgTMHrjGZHeEPVzHv'
    'zWuP4s4FUiPYyemc0OG1fvyoPVT6qa5IEp9xq38yn9DWXt9up6XRcyZnBGBW/Ih2XSYc7Yqp+2Ti0UnHKAmbcgBKECdixxVHw5MH'
    'rdEZwCU7JDpW/1PlxKyg1u81ph9BuHUIH+J/FyCtoIWD7EeAuw+JGPQAABcGHQEJgIQABwsBAAEjAwEBBV0AEAAADICeCgEOjJuO'
    'AAA='))
open('hidden.7z', 'wb').write(base64.b64decode(
    'N3q8ryccAAQJeQchkAAAAAAAAAAvAAAAAAAAAGqneOCVcW6n+ADFdMjyxUI3Ldzwnji3aajBiM59VADZY6EjTI1FxhWiTzO9lRua'
    'I/XENrtioiOkjrKCa6QVhslOGsYVnqhPR5zjVLAjuOtuW5yMduoOW5LJJIvKuSWMWvGaAI92XeU3JNsaUug34lHx7+LTbizTuTHS'
    '1oOMXVcQWMsfuHJ6f3+kMelZe04DYKbTYgEXBhABCYCAAAcLAQABJAbxBwESUw9zVS02Uwgx9Ccjas9aIsE8DHIKAeDMzfoAAA=='))
)");
    const auto mixed = script.run({"unpack", temp.path("mixed.7z"), "--into", temp.path("to"), "--json"});
    CHECK(mixed.status == 1);
    CHECK(item_of(mixed.items(), temp.path("to/mixed/secret.txt"))["error"] == "is encrypted");
    CHECK(temp.read("to/mixed/open.txt") == "open text");
    CHECK_FALSE(temp.has("to/mixed/secret.txt"));
    const auto hidden = script.run({"unpack", temp.path("hidden.7z"), "--into", temp.path("to")});
    CHECK(hidden.status == 2);
    CHECK(hidden.err == "tavloctl: " + temp.path("hidden.7z") + ": is encrypted, the names in it too\n");
    CHECK_FALSE(temp.has("to/hidden"));
}

TEST_CASE("what is in archives tells its facts, and is sorted and chosen by them", "[unpack][facts]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("a.jpg", photo_bytes({.taken = "2031:05:02 09:14:07"}));
    temp.write("b.jpg", photo_bytes({.taken = "2030:01:02 09:14:07"}));
    temp.write("c.txt", "no date");
    by_python(
        temp.path(),
        "with tarfile.open('p.tar.gz', 'w:gz') as t:\n  for n in ('c.txt', 'b.jpg', 'a.jpg'): t.add(n)\n");
    REQUIRE(script
                .run({"unpack", temp.path("p.tar.gz"), "--into", temp.path("to"), "--sort-into",
                      "{taken:%Y|=undated}"})
                .status == 0);
    CHECK(temp.has("to/2031/a.jpg"));
    CHECK(temp.has("to/2030/b.jpg"));
    CHECK(temp.read("to/undated/c.txt") == "no date");
    REQUIRE(script
                .run({"unpack", temp.path("p.tar.gz"), "--into", temp.path("some"), "--contents", "--with",
                      "taken=2031-*"})
                .status == 0);
    CHECK(temp.has("some/a.jpg"));
    CHECK_FALSE(temp.has("some/b.jpg"));
}

TEST_CASE(
    "files are picked out of archives as out of folders, and sorted, an archive is no folder to write to",
    "[unpack]") {
    const TempFolder temp;
    const Script script(temp);
    by_python(temp.path(), R"(
with zipfile.ZipFile('a.zip', 'w') as z: z.writestr('d/one.txt', '1'); z.writestr('d/two.pdf', '2')
)");
    CHECK(script.run({"copy", temp.path("a.zip/d/one.txt"), "--into", temp.path("to")}).status == 0);
    CHECK(temp.read("to/one.txt") == "1");
    CHECK(script.run({"unpack", temp.path("a.zip"), "--into", temp.path("sorted"), "--sort-into", "{ext}"})
              .status == 0);
    CHECK(temp.read("sorted/.pdf/two.pdf") == "2");
    CHECK(script.run({"move", temp.path("a.zip/d/one.txt"), "--into", temp.path("to2")}).status == 1);
    CHECK_FALSE(temp.has("to2/one.txt"));
    CHECK(script.run({"copy", temp.path("to"), "--into", temp.path("a.zip")}).status == 2);
    CHECK(script.run({"copy", temp.path("a.zip"), "--into", temp.path("whole")}).status == 0);
    CHECK(temp.read("whole/a.zip") == temp.read("a.zip"));
    const auto named = script.run(
        {"unpack", temp.path("a.zip"), "--into", temp.path("named"), "--prefix", "p-", "--flatten"});
    CHECK(named.status == 0);
    CHECK(temp.read("named/p-two.pdf") == "2");
}
