// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/text_file.h"

#include <algorithm>
#include <cerrno>
#include <cstdint>
#include <cstdio>
#include <cstring>
#include <fmt/format.h>
#include <memory>
#include <openssl/evp.h>
#include <sys/stat.h>
#include <unistd.h>

namespace dynamet::formats {
namespace {

Error systemError(const std::string& path) {
    return {errno == ENOENT ? Errc::notFound : Errc::io,
            fmt::format("{}: {}", path, std::strerror(errno))};
}

constexpr off_t kLargest = 1'000'000'000;

struct Closer {
    void operator()(std::FILE* file) const { std::fclose(file); }
};

} // namespace

Result<std::string> readTextFile(const std::string& path) {
    struct stat what {};
    if (::stat(path.c_str(), &what) != 0)
        return tl::unexpected(systemError(path));
    if (!S_ISREG(what.st_mode))
        return fail(Errc::invalidArgument,
                    fmt::format("{} is {}, not a file", path,
                                S_ISDIR(what.st_mode) ? "a folder" : "a pipe or a device"));
    if (what.st_size > kLargest)
        return fail(Errc::invalidArgument, fmt::format("{} is larger than {} MB: cut it into days",
                                                       path, kLargest / 1'000'000));
    const std::unique_ptr<std::FILE, Closer> file(std::fopen(path.c_str(), "rb"));
    if (!file)
        return tl::unexpected(systemError(path));
    std::string out;
    if (std::fseek(file.get(), 0, SEEK_END) == 0) {
        const long size = std::ftell(file.get());
        std::rewind(file.get());
        if (size > 0)
            out.resize(static_cast<std::size_t>(size));
    }
    out.resize(std::fread(out.data(), 1, out.size(), file.get()));
    if (std::ferror(file.get()))
        return tl::unexpected(systemError(path));
    return out;
}

namespace {

void addCodePoint(std::string& out, std::uint32_t c) {
    if (c < 0x80) {
        out += static_cast<char>(c);
    } else if (c < 0x800) {
        out += static_cast<char>(0xc0 | c >> 6);
        out += static_cast<char>(0x80 | (c & 0x3f));
    } else if (c < 0x10000) {
        out += static_cast<char>(0xe0 | c >> 12);
        out += static_cast<char>(0x80 | (c >> 6 & 0x3f));
        out += static_cast<char>(0x80 | (c & 0x3f));
    } else {
        out += static_cast<char>(0xf0 | c >> 18);
        out += static_cast<char>(0x80 | (c >> 12 & 0x3f));
        out += static_cast<char>(0x80 | (c >> 6 & 0x3f));
        out += static_cast<char>(0x80 | (c & 0x3f));
    }
}

/// UTF-16 by its mark, or by the noughts that every other byte of plain text is; 0 = it is not.
int utf16Kind(const std::string& bytes) { // 1 little-endian, 2 big-endian
    if (bytes.starts_with("\xFF\xFE"))
        return 1;
    if (bytes.starts_with("\xFE\xFF"))
        return 2;
    std::size_t even = 0, odd = 0;
    const std::size_t looked = std::min<std::size_t>(bytes.size(), 400) & ~std::size_t{1};
    for (std::size_t i = 0; i < looked; i += 2) {
        even += bytes[i] == 0;
        odd += bytes[i + 1] == 0;
    }
    if (looked < 8)
        return 0;
    return odd * 10 > looked / 2 * 8 ? 1 : even * 10 > looked / 2 * 8 ? 2 : 0;
}

std::string fromUtf16(const std::string& bytes, bool big) {
    std::string out;
    std::uint32_t high = 0;
    for (std::size_t i = 0; i + 1 < bytes.size(); i += 2) {
        const auto a = static_cast<unsigned char>(bytes[i]),
                   b = static_cast<unsigned char>(bytes[i + 1]);
        const auto unit = static_cast<std::uint32_t>(big ? a << 8 | b : b << 8 | a);
        if (unit == 0xfeff)
            continue;
        if (unit >= 0xd800 && unit < 0xdc00) {
            high = unit;
        } else if (unit >= 0xdc00 && unit < 0xe000) {
            addCodePoint(out, high ? 0x10000 + ((high - 0xd800) << 10) + (unit - 0xdc00) : 0xfffd);
            high = 0;
        } else {
            addCodePoint(out, unit);
        }
    }
    return out;
}

} // namespace

std::string asUtf8(std::string bytes) {
    if (const int kind = utf16Kind(bytes))
        bytes = fromUtf16(bytes, kind == 2);
    if (bytes.find('\n') == std::string::npos) // lines of old computers
        std::replace(bytes.begin(), bytes.end(), '\r', '\n');
    const bool valid = [&] {
        for (std::size_t i = 0; i < bytes.size();) {
            const auto lead = static_cast<unsigned char>(bytes[i]);
            const std::size_t more = lead < 0x80   ? 0
                                     : lead < 0xc2 ? 9
                                     : lead < 0xe0 ? 1
                                     : lead < 0xf0 ? 2
                                     : lead < 0xf5 ? 3
                                                   : 9;
            if (more == 9 || i + more >= bytes.size() + (more == 0))
                return false;
            for (std::size_t k = 1; k <= more; ++k)
                if ((static_cast<unsigned char>(bytes[i + k]) & 0xc0) != 0x80)
                    return false;
            i += more + 1;
        }
        return true;
    }();
    if (valid)
        return bytes;
    std::string out;
    for (const char c : bytes) {
        const auto byte = static_cast<unsigned char>(c);
        if (byte < 0x80) {
            out += c;
        } else {
            addCodePoint(out, byte);
        }
    }
    return out;
}

Result<void> writeTextFile(const std::string& path, const std::string& text) {
    const std::string part = path + ".part";
    {
        const std::unique_ptr<std::FILE, Closer> file(std::fopen(part.c_str(), "wb"));
        if (!file)
            return tl::unexpected(systemError(path));
        if (std::fwrite(text.data(), 1, text.size(), file.get()) != text.size() ||
            std::fflush(file.get()) != 0) {
            const Error error = systemError(path);
            std::remove(part.c_str());
            return tl::unexpected(error);
        }
        fsync(fileno(file.get()));
    }
    if (std::rename(part.c_str(), path.c_str()) != 0)
        return tl::unexpected(systemError(path));
    return {};
}

std::string sha256(const std::string& text) {
    unsigned char digest[EVP_MAX_MD_SIZE];
    unsigned int length = 0;
    EVP_Digest(text.data(), text.size(), digest, &length, EVP_sha256(), nullptr);
    std::string out;
    for (unsigned int i = 0; i < length; ++i)
        out += fmt::format("{:02x}", digest[i]);
    return out;
}

} // namespace dynamet::formats
