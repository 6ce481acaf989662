// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <hpdf.h>

#include <memory>
#include <stdexcept>

#include "makers.h"

namespace demo {

namespace {

[[noreturn]] void stop(HPDF_STATUS code, HPDF_STATUS detail, void*) {
    throw std::runtime_error("libharu: error " + std::to_string(code) + "/" + std::to_string(detail));
}

}  // namespace

void write_pdf(const std::filesystem::path& path, const std::string& title, const std::string& author,
               const Moment& made, const std::vector<Page>& pages) {
    const std::unique_ptr<std::remove_pointer_t<HPDF_Doc>, decltype(&HPDF_Free)> document(
        HPDF_New(stop, nullptr), &HPDF_Free);
    HPDF_SetCompressionMode(document.get(), HPDF_COMP_TEXT);
    HPDF_SetInfoAttr(document.get(), HPDF_INFO_TITLE, title.c_str());
    HPDF_SetInfoAttr(document.get(), HPDF_INFO_AUTHOR, author.c_str());
    const HPDF_Date date{made.year, made.month, made.day, made.hour, made.minute, made.second, ' ', 0, 0};
    HPDF_SetInfoDateAttr(document.get(), HPDF_INFO_CREATION_DATE, date);
    HPDF_SetInfoDateAttr(document.get(), HPDF_INFO_MOD_DATE, date);
    const HPDF_Font body = HPDF_GetFont(document.get(), "Helvetica", nullptr);
    const HPDF_Font bold = HPDF_GetFont(document.get(), "Helvetica-Bold", nullptr);
    for (const Page& content : pages) {
        const HPDF_Page page = HPDF_AddPage(document.get());
        HPDF_Page_SetSize(page, HPDF_PAGE_SIZE_A4, HPDF_PAGE_PORTRAIT);
        HPDF_Page_BeginText(page);
        HPDF_Page_SetFontAndSize(page, bold, 18);
        HPDF_Page_TextOut(page, 60, 770, content.heading.c_str());
        HPDF_Page_SetFontAndSize(page, body, 11);
        float height = 735;
        for (const auto& line : content.lines) {
            HPDF_Page_TextOut(page, 60, height, line.c_str());
            height -= 16;
        }
        HPDF_Page_EndText(page);
    }
    HPDF_SaveToFile(document.get(), path.c_str());
}

}  // namespace demo
